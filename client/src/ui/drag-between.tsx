import {
  closestCenter,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type CollisionDetection,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { sayDragging, type DragWords } from './drag-words.ts';
import { useDropPoint } from './drop-point.ts';
import { Icon } from './icon.tsx';
import { putBackWhenLeft } from './let-go.ts';
import { Txt } from './text.tsx';

interface DragBetweenProps<T> {
  words: DragWords;
  /** What a place to drop on is called, by its id. */
  nameOf: (id: string) => string;
  /** What is dragged, in a word: it hangs on the pointer. */
  titleOf: (dragged: T) => string;
  onDrop: (dragged: T, onto: string) => void;
  /** With what is dragged, and what it is over. */
  children: (dragged: T | null, over: string | null) => React.ReactNode;
}

/** Places between which things are dragged: by pointer, by touch after a moment, by keyboard from one to the next. What is dragged is the draggable's `data`. */
export function DragBetween<T>({ words, nameOf, titleOf, onDrop, children }: DragBetweenProps<T>) {
  const [dragged, setDragged] = useState<T | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const sensors = useSensors(useSensor(MouseSensor, BY_MOUSE), useSensor(TouchSensor, BY_TOUCH), useSensor(KeyboardSensor, BY_KEYS));
  const point = useDropPoint(under);
  const stop = () => {
    point.stop();
    setDragged(null);
    setOver(null);
  };
  const end = (event: DragEndEvent) => {
    const target = point.end(event).over;
    stop();
    if (target !== null) onDrop(event.active.data.current as T, target);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={sayDragging(words, nameOf)}
      collisionDetection={point.detect}
      onDragStart={({ active, activatorEvent }) => {
        point.start();
        putBackWhenLeft(activatorEvent);
        setDragged(active.data.current as T);
      }}
      onDragOver={({ over: target }) => setOver(target ? String(target.id) : null)}
      onDragCancel={stop}
      onDragEnd={end}
    >
      {children(dragged, over)}
      <DragOverlay dropAnimation={null}>
        {dragged === null ? null : (
          <View className="self-start rounded-control border border-line bg-surface px-3 py-2 shadow-lg">
            <Txt size={15} face="medium" numberOfLines={1}>
              {titleOf(dragged)}
            </Txt>
          </View>
        )}
      </DragOverlay>
    </DndContext>
  );
}

interface DragPieceProps {
  id: string;
  /** What is dragged. */
  data: object;
  disabled?: boolean;
  /** What its handle is called; null: it has none, as it stands elsewhere with one. */
  handle: string | null;
  className?: string;
  children: React.ReactNode;
}

/** Something that can be taken hold of anywhere; by keyboard at its handle, so that Enter on it still opens it. */
export function DragPiece({ id, data, disabled = false, handle, className = 'row flex-row items-center', children }: DragPieceProps) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id, data, disabled });
  const { onKeyDown, ...byPointer } = listeners ?? {};
  return (
    <View ref={setNodeRef as never} {...(byPointer as object)} className={className} style={isDragging ? { opacity: 0.4 } : undefined}>
      <View className="min-w-0 grow shrink basis-0">{children}</View>
      {handle !== null && !disabled
        ? createElement('button', { type: 'button', ...attributes, onKeyDown, className: 'entry-handle', 'aria-label': handle }, <Icon name="grip" size={16} />)
        : null}
    </View>
  );
}

/** Somewhere to drop on. */
export function DropSpot({ id, className = '', children }: { id: string; className?: string; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <View ref={setNodeRef as never} className={`${className} ${isOver ? 'bg-line' : ''}`}>
      {children}
    </View>
  );
}

const under: CollisionDetection = (args) => (args.pointerCoordinates ? pointerWithin(args) : closestCenter(args));

const WAYS: Record<string, readonly [number, number]> = { ArrowDown: [0, 1], ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowLeft: [-1, 0] };
/** What lies that way counts as lying that way from so many pixels on; what lies aside is three times as far. */
const LEAST = 8;
const ASIDE = 3;

/** An arrow goes to the middle of the nearest place that way. */
const toTheNext: KeyboardCoordinateGetter = (event, { currentCoordinates, context: { droppableRects, collisionRect, over } }) => {
  const way = WAYS[event.code];
  if (!way || !collisionRect) return undefined;
  event.preventDefault();
  const [x, y] = [collisionRect.left + collisionRect.width / 2, collisionRect.top + collisionRect.height / 2];
  const found = [...droppableRects].flatMap(([id, rect]) => {
    // it need not be in the middle of where it is
    if (id === over?.id) return [];
    const [right, down] = [rect.left + rect.width / 2 - x, rect.top + rect.height / 2 - y];
    const along = right * way[0] + down * way[1];
    const aside = Math.abs(right * way[1]) + Math.abs(down * way[0]);
    return along > LEAST ? [{ right, down, far: along + ASIDE * aside }] : [];
  });
  const next = found.sort((a, b) => a.far - b.far)[0];
  return next && { x: currentCoordinates.x + next.right, y: currentCoordinates.y + next.down };
};

// the same objects each time: by others everything that can be dragged would be drawn anew
const BY_MOUSE = { activationConstraint: { distance: 6 } };
const BY_TOUCH = { activationConstraint: { delay: 200, tolerance: 8 } };
const BY_KEYS = { coordinateGetter: toTheNext, scrollBehavior: 'auto' as const };
