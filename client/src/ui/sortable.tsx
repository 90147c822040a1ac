import { closestCenter, DndContext, KeyboardSensor, PointerSensor, TouchSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { createElement, useMemo, useState } from 'react';
import { View } from 'react-native';
import { sayDragging, type DragWords } from './drag-words.ts';
import { putBackWhenLeft } from './let-go.ts';
import { useDropPoint } from './drop-point.ts';
import { Icon } from './icon.tsx';
import { Dragging } from './long-rows.tsx';
import { useSame } from './steady.ts';

/** Where something was let go: on which row, and how far to the side it was pulled. */
export interface Dropped {
  id: string;
  over: string;
  /** Pixels to the right; to the left negative. */
  aside: number;
}

interface SortableProps {
  /** Every id that can be dragged, in the order shown. */
  ids: readonly string[];
  onDrop: (dropped: Dropped) => void;
  words: DragWords;
  /** What a row is called. */
  nameOf: (id: string) => string;
  children: React.ReactNode;
}

// the same objects each time: by others every row would be drawn anew
const BY_POINTER = { activationConstraint: { distance: 6 } };
const BY_TOUCH = { activationConstraint: { delay: 150, tolerance: 8 } };
const BY_KEYS = { coordinateGetter: sortableKeyboardCoordinates };

/** Rows that are put in order by pointer, touch and keyboard. */
export function Sortable({ ids, onDrop, words, nameOf, children }: SortableProps) {
  const [dragging, setDragging] = useState(false);
  const order = useSame([...ids]);
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(TouchSensor, BY_TOUCH), useSensor(KeyboardSensor, BY_KEYS));
  const point = useDropPoint(closestCenter);
  const drop = (event: DragEndEvent) => {
    const { over, delta } = point.end(event);
    setDragging(false);
    if (over !== null) onDrop({ id: String(event.active.id), over, aside: delta.x });
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={sayDragging(words, nameOf)}
      collisionDetection={point.detect}
      onDragStart={({ activatorEvent }) => {
        point.start();
        putBackWhenLeft(activatorEvent);
        setDragging(true);
      }}
      onDragCancel={() => {
        point.stop();
        setDragging(false);
      }}
      onDragEnd={drop}
    >
      <SortableContext items={order} strategy={verticalListSortingStrategy}>
        <Dragging.Provider value={dragging}>{children}</Dragging.Provider>
      </SortableContext>
    </DndContext>
  );
}

/** Rows go to their place at once where motion is not wanted. */
const wantsCalm = (): boolean => window.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? false;

/** One row that can be dragged by its handle. */
export function SortableRow({ id, label, children }: { id: string; label: string; children: (handle: React.ReactNode) => React.ReactNode }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable(
    wantsCalm() ? { id, transition: null, animateLayoutChanges: () => false } : { id },
  );
  const handle = useMemo(
    () =>
      createElement('button', { type: 'button', 'aria-label': label, ...attributes, ...listeners, className: 'drag-handle' }, <Icon name="grip" size={18} />),
    [label, attributes, listeners],
  );
  return (
    <View
      ref={setNodeRef as never}
      style={{ transform: CSS.Transform.toString(transform) as never, transition, zIndex: isDragging ? 10 : undefined, opacity: isDragging ? 0.8 : 1 } as never}
    >
      {children(handle)}
    </View>
  );
}
