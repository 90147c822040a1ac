import { byArrival, DAY_PARTS, daySheet, isHere, type DayBand, type DayPart } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenHouse, usePlanView } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t, together } from '@/words';
import { Bands, DropBand, type Moved } from './bands.tsx';
import { BandHead } from './band-head.tsx';
import { BandCells, partWeights } from './band-cells.tsx';
import { HandSheet } from './hand-sheet.tsx';
import { useIsOver } from './today-groups.tsx';

/** The day of everyone whose day can be seen from here, oneself first. */
export function useDaySheet(): DayBand[] {
  const { rows, me } = useOpenHouse();
  const view = usePlanView();
  const people = rows
    .all('person')
    .filter(isHere)
    .sort((a, b) => (a.id === me.id ? -1 : b.id === me.id ? 1 : byArrival(a, b)));
  return daySheet(people, view, rows, rows.all('capacity'));
}

const isEmpty = ({ cells }: DayBand): boolean => DAY_PARTS.every((part) => cells[part].length === 0);

/** Everyone's day as bands crossed by the parts of the day: each thing about as long as its minutes. From band to band is handing over. */
export function DaySheet({ bands }: { bands: readonly DayBand[] }) {
  const { me } = useOpenHouse();
  const isOver = useIsOver();
  const [moved, setMoved] = useState<Moved | null>(null);
  // an empty day is room to hand something to, for who may
  const shown = bands.filter((band) => band.person.id === me.id || !isEmpty(band) || (me.role === 'manager' && band.person.role !== 'outside'));
  const idle = bands.filter((band) => !shown.includes(band)).map(({ person }) => person.name);
  const weights = partWeights(shown);
  const parts = DAY_PARTS.filter((part) => weights[part] > 0);
  return (
    <Bands bands={shown} onMove={setMoved}>
      {(bandOver) => (
        <View className="px-4 pb-6 pt-3" role="table" aria-label={t('sheet.label')}>
          <View role="row" className="flex-row gap-3.5 pb-1">
            <View role="columnheader" className="w-44">
              <Txt className="sr-only">{t('sheet.who')}</Txt>
            </View>
            {parts.map((part) => (
              <View key={part} role="columnheader" style={columnOf(weights, part)}>
                <Txt face="head" tone={isOver(part) ? 'muted' : 'ink'}>
                  {t(`dayPart.${part}`)}
                </Txt>
              </View>
            ))}
          </View>
          {shown.map((band) => (
            <DropBand key={band.person.id} personId={band.person.id}>
              <BandRow band={band} parts={parts} weights={weights} isOver={bandOver === band.person.id} />
            </DropBand>
          ))}
          {idle.length > 0 ? (
            <Txt size={15} tone="muted" className="pt-3">
              {t('sheet.idle', { names: together(idle) })}
            </Txt>
          ) : null}
          {moved ? <HandSheet moved={moved} onClose={() => setMoved(null)} /> : null}
        </View>
      )}
    </Bands>
  );
}

type Weights = Record<DayPart, number>;
const columnOf = (weights: Weights, part: DayPart) => ({ flexGrow: weights[part], flexShrink: 1, flexBasis: 0, minWidth: 0 });

interface BandRowProps {
  band: DayBand;
  parts: readonly DayPart[];
  weights: Weights;
  isOver: boolean;
}

function BandRow({ band, parts, weights, isOver }: BandRowProps) {
  return (
    <View role="row" className="flex-row items-stretch gap-3.5 py-1.5">
      <BandHead band={band} />
      {parts.map((part) => (
        <View key={part} role="cell" style={columnOf(weights, part)}>
          <BandCells person={band.person} entries={band.cells[part]} isOver={isOver} />
        </View>
      ))}
    </View>
  );
}
