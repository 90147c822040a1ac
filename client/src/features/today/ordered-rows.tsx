import type { Placed } from '@kotiva/core';
import { useGive } from '@/store/live-house.tsx';
import { Sortable, SortableRow, type Dropped } from '@/ui/sortable.tsx';
import { t } from '@/words';
import { TodayRow } from './today-row.tsx';

/** Today in an order of one's own: by dragging, by touch, by keyboard. It holds until it is changed. */
export function OrderedRows({ entries }: { entries: readonly Placed[] }) {
  const give = useGive();
  const ids = entries.map(({ item }) => item.id);
  const drop = ({ id, after, before }: Dropped) => {
    const others = ids.filter((other) => other !== id);
    const at = after ? others.indexOf(after) + 1 : before ? others.indexOf(before) : others.length;
    give('part.order', { items: [...others.slice(0, at), id, ...others.slice(at)] }, { words: t('said.reordered'), undo: true });
  };
  return (
    <Sortable groups={[{ key: 'today', ids }]} onDrop={drop}>
      {entries.map((entry) => (
        <SortableRow key={entry.item.id} id={entry.item.id} label={t('move.drag', { title: entry.item.title })}>
          {(handle) => <TodayRow entry={entry} handle={handle} />}
        </SortableRow>
      ))}
    </Sortable>
  );
}
