import type { Errands, Leg } from '@kotiva/core';
import { View } from 'react-native';
import { Menu, Row, Txt, type MenuEntry } from '@/ui';
import { Sortable, SortableRow } from '@/ui/sortable.tsx';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { sayMinute } from './say-minute.ts';

interface PlannedStopsProps {
  order: readonly string[];
  /** Null: it can't be made in this order. */
  legs: readonly Leg[] | null;
  going: readonly Errands[];
  onOrder: (order: string[]) => void;
}

/** The stops in their order with the hour one is there; put in another order by dragging, or by the words of each. */
export function PlannedStops({ order, legs, going, onOrder }: PlannedStopsProps) {
  const nameOf = (id: string) => going.find(({ place }) => place.id === id)?.place.name ?? '';
  const moved = (id: string, to: number) => {
    const others = order.filter((other) => other !== id);
    onOrder([...others.slice(0, to), id, ...others.slice(to)]);
  };
  return (
    <Sortable ids={order} onDrop={({ id, over }) => id !== over && moved(id, order.indexOf(over))} words={sayDragOfRows()} nameOf={nameOf}>
      {order.map((id, nth) => {
        const leg = legs?.find(({ stopId }) => stopId === id);
        const items = going.find(({ place }) => place.id === id)?.items ?? [];
        return (
          <SortableRow key={id} id={id} label={t('move.drag', { title: nameOf(id) })}>
            {(handle) => (
              <Row
                lead={
                  <View className="flex-row items-center">
                    {handle}
                    <Txt size={15} face="bold" tone="chore" className="w-6 text-center">
                      {String(nth + 1)}
                    </Txt>
                  </View>
                }
                title={nameOf(id)}
                sub={items.map(({ title }) => title).join(', ')}
                right={leg ? sayLeg(leg) : undefined}
                trail={<Menu label={t('round.moveNamed', { place: nameOf(id) })} entries={entriesFor(id, nth)} />}
              />
            )}
          </SortableRow>
        );
      })}
    </Sortable>
  );

  function entriesFor(id: string, nth: number): MenuEntry[] {
    return [
      ...(nth > 0 ? [{ key: 'up', words: t('move.up'), onPress: () => moved(id, nth - 1) }] : []),
      ...(nth < order.length - 1 ? [{ key: 'down', words: t('move.down'), onPress: () => moved(id, nth + 1) }] : []),
    ];
  }
}

/** When one comes; with waiting, when it opens too. */
const sayLeg = ({ arrives, begins }: Leg): string =>
  begins - arrives >= 1 ? t('round.waits', { hour: sayMinute(arrives), opens: sayMinute(begins) }) : sayMinute(arrives);
