import type { DayBand, Person, AgendaEntry } from '@kotiva/core';
import { useDroppable } from '@dnd-kit/core';
import { View } from 'react-native';
import { DragBetween } from '@/ui/drag-between.tsx';
import { sayDragOfRows } from '@/words/dragging.ts';

/** Something that was dragged out of one band into another. */
export interface Moved {
  entry: AgendaEntry;
  from: Person;
  to: Person;
}

interface Dragged {
  entry: AgendaEntry;
  person: Person;
}

/** Bands between which segments are dragged. `children` is told which band something of another hangs over. */
export function Bands({
  bands,
  onMove,
  children,
}: {
  bands: readonly DayBand[];
  onMove: (moved: Moved) => void;
  children: (over: string | null) => React.ReactNode;
}) {
  const personOf = (id: string) => bands.find(({ person }) => person.id === id)?.person;
  const drop = ({ entry, person }: Dragged, onto: string) => {
    const to = personOf(onto);
    if (to && to.id !== person.id) onMove({ entry, from: person, to });
  };
  return (
    <DragBetween<Dragged> words={sayDragOfRows()} nameOf={(id) => personOf(id)?.name ?? ''} titleOf={({ entry }) => entry.item.title} onDrop={drop}>
      {(dragged, over) => children(over === dragged?.person.id ? null : over)}
    </DragBetween>
  );
}

/** One band as a place to drop on. */
export function DropBand({ personId, children }: { personId: string; children: React.ReactNode }) {
  const { setNodeRef } = useDroppable({ id: personId });
  return <View ref={setNodeRef as never}>{children}</View>;
}
