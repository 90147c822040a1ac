import type { AgendaEntry } from '@kotiva/core';
import { useSubmit } from '@/store/live-house.tsx';
import { Sortable, SortableRow } from '@/ui/sortable.tsx';
import { t } from '@/words';
import { sayDragOfRows } from '@/words/dragging.ts';
import { TodayRow } from './today-row.tsx';

/** Today in an order of one's own: by dragging, by touch, by keyboard. It holds until it is changed. */
export function OrderedRows({ entries }: { entries: readonly AgendaEntry[] }) {
  const submit = useSubmit();
  const ids = entries.map(({ item }) => item.id);
  const drop = ({ id, over }: { id: string; over: string }) => {
    if (id === over) return;
    const to = ids.indexOf(over);
    const others = ids.filter((other) => other !== id);
    submit('part.order', { items: [...others.slice(0, to), id, ...others.slice(to)] }, { words: t('said.reordered'), undo: true });
  };
  return (
    <Sortable ids={ids} onDrop={drop} words={sayDragOfRows()} nameOf={(id) => entries.find(({ item }) => item.id === id)?.item.title ?? ''}>
      {entries.map((entry) => (
        <SortableRow key={entry.item.id} id={entry.item.id} label={t('move.drag', { title: entry.item.title })}>
          {(handle) => <TodayRow entry={entry} handle={handle} />}
        </SortableRow>
      ))}
    </Sortable>
  );
}
