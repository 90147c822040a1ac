import { byArrival, DAY_PARTS, daySheet, isHere, type DayBand, type DayPart } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { HandToSheet } from '@/features/item';
import { useOpenHouse, usePlanView } from '@/store/store.ts';
import { personInk, Txt } from '@/ui';
import { t, together } from '@/words';
import { Bands, DropBand, type Moved } from './bands.tsx';
import { BandHead } from './band-head.tsx';
import { BandCells } from './band-cells.tsx';
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

/** Everyone's day as bands crossed by the parts of the day. From band to band is handing over. */
export function DaySheet({ bands }: { bands: readonly DayBand[] }) {
  const { me } = useOpenHouse();
  const isOver = useIsOver();
  const [moved, setMoved] = useState<Moved | null>(null);
  // an empty day is room to hand something to, for who may
  const shown = bands.filter((band) => band.person.id === me.id || !isEmpty(band) || (me.role === 'manager' && band.person.role !== 'outside'));
  const idle = bands.filter((band) => !shown.includes(band)).map(({ person }) => person.name);
  const isFilled = (part: DayPart) => shown.some(({ cells }) => cells[part].length > 0);
  const parts = DAY_PARTS.filter((part) => part !== 'any' || isFilled(part)).map((part) => ({ part, isFilled: isFilled(part) }));
  return (
    <Bands bands={shown} onMove={setMoved}>
      {(bandOver) => (
        <View className="px-4 pb-6 pt-3" role="table" aria-label={t('sheet.label')}>
          <View role="row" className="flex-row gap-3.5 pb-1">
            <View role="columnheader" className="w-44">
              <Txt className="sr-only">{t('sheet.who')}</Txt>
            </View>
            {parts.map(({ part, isFilled: isWide }) => (
              <View key={part} role="columnheader" className={isWide ? 'min-w-0 grow shrink basis-0' : 'w-20'}>
                <Txt face="head" size={isWide ? 17 : 15} tone={isOver(part) || !isWide ? 'muted' : 'ink'}>
                  {t(`dayPart.${part}`)}
                </Txt>
              </View>
            ))}
          </View>
          {shown.map((band) => (
            <DropBand key={band.person.id} personId={band.person.id}>
              <BandRow band={band} parts={parts} isOver={bandOver === band.person.id} />
            </DropBand>
          ))}
          {idle.length > 0 ? (
            <Txt size={15} tone="muted" className="pt-3">
              {t('sheet.idle', { names: together(idle) })}
            </Txt>
          ) : null}
          {moved ? (
            <HandToSheet item={moved.entry.item} from={moved.entry.part.personId === null ? null : moved.from} to={moved.to} onClose={() => setMoved(null)} />
          ) : null}
        </View>
      )}
    </Bands>
  );
}

interface BandRowProps {
  band: DayBand;
  /** A part of the day in which nobody has anything keeps a little room. */
  parts: readonly { part: DayPart; isFilled: boolean }[];
  isOver: boolean;
}

function BandRow({ band, parts, isOver }: BandRowProps) {
  return (
    <View
      role="row"
      className={`flex-row items-start gap-3.5 ${isOver ? 'bg-sunk' : ''}`}
      style={{ borderTopWidth: 2, borderColor: personInk(band.person.colour) }}
    >
      <BandHead band={band} />
      {parts.map(({ part, isFilled }) => (
        <View key={part} role="cell" className={isFilled ? 'min-w-0 grow shrink basis-0' : 'w-20'}>
          <BandCells person={band.person} entries={band.cells[part]} />
        </View>
      ))}
    </View>
  );
}
