import type { DayBand, Person, Placed } from '@kotiva/core';
import {
  closestCenter,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
  type CollisionDetection,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Txt } from '@/ui';
import { sayDragging } from '@/ui/drag-words.ts';
import { sayDragOfRows } from '@/words/dragging.ts';

/** Something that was dragged out of one band into another. */
export interface Moved {
  entry: Placed;
  from: Person;
  to: Person;
}

interface Dragged {
  entry: Placed;
  person: Person;
}

/** Bands between which segments are dragged: by pointer, by touch after a moment, by keyboard from band to band. */
export function Bands({
  bands,
  onMove,
  children,
}: {
  bands: readonly DayBand[];
  onMove: (moved: Moved) => void;
  children: (over: string | null) => React.ReactNode;
}) {
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: fromBandToBand, scrollBehavior: 'auto' }),
  );
  const end = ({ active, over: target }: DragEndEvent) => {
    setDragged(null);
    setOver(null);
    const { entry, person } = active.data.current as Dragged;
    const to = bands.find((band) => band.person.id === target?.id)?.person;
    if (to && to.id !== person.id) onMove({ entry, from: person, to });
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={sayDragging(sayDragOfRows(), (id) => bands.find(({ person }) => person.id === id)?.person.name ?? '')}
      collisionDetection={bandUnder}
      onDragStart={({ active }) => setDragged(active.data.current as Dragged)}
      onDragOver={({ over: target }) => setOver(target && target.id !== dragged?.person.id ? String(target.id) : null)}
      onDragCancel={() => {
        setDragged(null);
        setOver(null);
      }}
      onDragEnd={end}
    >
      {children(over)}
      <DragOverlay dropAnimation={null}>
        {dragged ? (
          <View className="rounded-control border border-line bg-surface px-3 py-2 shadow-lg">
            <Txt size={15} face="medium" numberOfLines={1}>
              {dragged.entry.item.title}
            </Txt>
          </View>
        ) : null}
      </DragOverlay>
    </DndContext>
  );
}

/** One band as a place to drop on. */
export function DropBand({ personId, children }: { personId: string; children: React.ReactNode }) {
  const { setNodeRef } = useDroppable({ id: personId });
  return <View ref={setNodeRef as never}>{children}</View>;
}

const bandUnder: CollisionDetection = (args) => (args.pointerCoordinates ? pointerWithin(args) : closestCenter(args));

/** An arrow goes to the middle of the next band up or down. */
const fromBandToBand: KeyboardCoordinateGetter = (event, { currentCoordinates, context: { droppableRects, collisionRect } }) => {
  const step = event.code === 'ArrowDown' ? 1 : event.code === 'ArrowUp' ? -1 : 0;
  if (step === 0 || !collisionRect) return undefined;
  event.preventDefault();
  const middle = collisionRect.top + collisionRect.height / 2;
  const rects = [...droppableRects.values()].sort((a, b) => a.top - b.top);
  const next = rects[rects.findLastIndex(({ top }) => top <= middle) + step];
  return next && { x: currentCoordinates.x, y: currentCoordinates.y + next.top + next.height / 2 - middle };
};
