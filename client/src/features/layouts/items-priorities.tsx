import { calendarDateOf, dueIn, isDone, prioritiesOf, type Arrangeable, type DueBand, type Item } from '@kotiva/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { ItemRow, useItemFace } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, LongRows, Txt, useWide } from '@/ui';
import { DragBetween, DragPiece, DropSpot } from '@/ui/drag-between.tsx';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { usePriorityMove } from './use-priority-move.ts';

/** So many stand in one place before the rest is asked for. */
const SHOWN = 6;
const LANES = ['3', '2', '1', '0'] as const;

/** Where something is dropped: a band of days and an importance. */
const spotOf = (band: DueBand, nth: number): string => `${band} ${LANES[nth]!}`;
const readSpot = (spot: string): { band: DueBand; importance: number } => {
  const [band, importance] = spot.split(' ');
  return { band: band as DueBand, importance: Number(importance) };
};

/** What is important against what is pressing: where there is room as lanes, else one band of days after the other, the most important first. */
export function ItemsPriorities({ entries }: { entries: readonly Arrangeable[] }) {
  const wide = useWide();
  return wide ? <Lanes entries={entries} /> : <Bands entries={entries} />;
}

function Bands({ entries }: { entries: readonly Arrangeable[] }) {
  const { house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  return prioritiesOf(entries, today).map(({ band, lanes }) => {
    const inBand = lanes.flat();
    if (inBand.length === 0) return null;
    return (
      <View key={band}>
        <GroupHead title={t(`band.${band}`)} count={inBand.length} tone={band === 'late' ? 'late' : 'ink'} />
        <LongRows rows={inBand} keyOf={({ item }) => item.id}>
          {({ item }) => <ItemRow item={item} />}
        </LongRows>
      </View>
    );
  });
}

/** A lane for each importance, crossed by the days to the deadline. Dragged, either changes. */
function Lanes({ entries }: { entries: readonly Arrangeable[] }) {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const move = usePriorityMove();
  // every band is somewhere to put a thing, but nothing can be made late
  const bands = prioritiesOf(entries, today).filter(({ band, lanes }) => band !== 'late' || lanes.some((lane) => lane.length > 0));
  const nameOf = (spot: string) => {
    const { band, importance } = readSpot(spot);
    return t('priorities.spot', { band: t(`band.${band}`), importance: t(`board.importance.${importance as 0 | 1 | 2 | 3}`) });
  };
  const drop = (item: Item, spot: string) => {
    const { band, importance } = readSpot(spot);
    const due = dueIn(band, item.due, today);
    move(item, { importance, due: due === undefined ? item.due : due });
  };
  return (
    <DragBetween<Item> words={sayDragOfRows()} nameOf={nameOf} titleOf={({ title }) => title} onDrop={drop}>
      {() => (
        <div className="priorities" tabIndex={0} role="group" aria-label={t('layout.priorities')}>
          <table>
            <thead>
              <tr>
                <th scope="col">
                  <Txt size={13} tone="muted">
                    {t('priorities.due')}
                  </Txt>
                </th>
                {LANES.map((lane) => (
                  <th key={lane} scope="col">
                    <Txt size={15} face="head" numberOfLines={1}>
                      {t(`board.importance.${lane}`)}
                    </Txt>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {bands.map(({ band, lanes }) => (
                <tr key={band}>
                  <th scope="row">
                    <Txt size={15} face="medium" tone={band === 'late' ? 'late' : band === 'none' ? 'muted' : 'ink'}>
                      {t(`band.${band}`)}
                    </Txt>
                  </th>
                  {lanes.map((lane, nth) => (
                    <td key={LANES[nth]}>
                      <DropSpot id={spotOf(band, nth)} className="min-h-11 rounded-control">
                        <Lane>
                          {lane.map(({ item }) => (
                            <DragPiece
                              key={item.id}
                              id={item.id}
                              data={item}
                              disabled={isDone(item, rows.by('part', 'itemId', item.id))}
                              handle={t('board.drag', { title: item.title })}
                            >
                              <Card item={item} />
                            </DragPiece>
                          ))}
                        </Lane>
                      </DropSpot>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </DragBetween>
  );
}

/** The first few, and the rest once it is asked for. */
function Lane({ children }: { children: React.ReactNode[] }) {
  const [all, setAll] = useState(false);
  const rest = children.length - SHOWN;
  return (
    <View>
      {all ? children : children.slice(0, SHOWN)}
      {!all && rest > 0 ? (
        <View className="items-start">
          <Button kind="quiet" onPress={() => setAll(true)}>
            {t('priorities.more', { count: rest })}
          </Button>
        </View>
      ) : null}
    </View>
  );
}

function Card({ item }: { item: Item }) {
  const face = useItemFace({ item, detail: 'bare' });
  return (
    <Pressable
      role={face.chosen === undefined ? 'button' : 'checkbox'}
      aria-checked={face.chosen}
      {...({ dataSet: { row: item.id } } as object)}
      onPress={face.onPress}
      className={`min-h-11 justify-center border-b border-line px-1 py-1 ${face.chosen ? 'bg-sunk' : ''}`}
    >
      <Txt size={15} face={face.isStrong ? 'medium' : 'read'} tone={face.done ? 'muted' : 'ink'} numberOfLines={2} className={face.done ? 'line-through' : ''}>
        {face.title}
      </Txt>
      {face.right ? (
        <Txt size={13} tone={face.rightTone === 'late' ? 'late' : 'muted'} numberOfLines={1}>
          {face.right}
        </Txt>
      ) : null}
    </Pressable>
  );
}
