import { titleOfEntry, type CalendarEntry } from '@kotiva/core';
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
import { Icon, Txt } from '@/ui';
import { sayDragging } from '@/ui/drag-words.ts';
import { t } from '@/words';
import { sayExactly } from '@/words/dates.ts';
import { sayDragOfRows } from '@/words/dragging.ts';
import { keyOf } from './entry.ts';
import type { Move } from './use-move.tsx';

/** Days and hours between which entries are dragged: by pointer, by touch after a moment, by keyboard from one to the next. */
export function CalendarDrag({ onMove, children }: { onMove: Move; children: React.ReactNode }) {
  const [dragged, setDragged] = useState<CalendarEntry | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: toTheNext }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const entry = active.data.current as CalendarEntry;
    if (over) dropped(entry, String(over.id), onMove);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={sayDragging(sayDragOfRows(), (id) => sayExactly(id))}
      collisionDetection={under}
      onDragStart={({ active }) => setDragged(active.data.current as CalendarEntry)}
      onDragCancel={() => setDragged(null)}
      onDragEnd={end}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged ? (
          <View className="self-start rounded-control border border-line bg-surface px-3 py-2 shadow-lg">
            <Txt size={15} face="medium" numberOfLines={1}>
              {titleOfEntry(dragged)}
            </Txt>
          </View>
        ) : null}
      </DragOverlay>
    </DndContext>
  );
}

/** A day keeps the hour an entry has; an hour of a day gives it that. */
function dropped(entry: CalendarEntry, target: string, move: Move): void {
  const time = target[10] === 'T' ? target.slice(11, 16) : entry.time;
  if (target.slice(0, 10) === entry.date && time === entry.time) return;
  move(entry, time === null ? target.slice(0, 10) : `${target.slice(0, 10)}T${time}`);
}

/** A day, or an hour of one, to drop on. */
export function DropMoment({ moment, className = '', children }: { moment: string; className?: string; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: moment });
  return (
    <View ref={setNodeRef as never} className={`${className} ${isOver ? 'bg-line' : ''}`}>
      {children}
    </View>
  );
}

const isMovable = (entry: CalendarEntry): boolean => entry.kind === 'ahead' || !entry.done;

/** An entry that can be taken hold of; by keyboard at its handle, so that Enter on the title still opens it. `place`: where it stands, as it may stand twice. */
export function DragEntry({ entry, place, handle = true, children }: { entry: CalendarEntry; place: string; handle?: boolean; children: React.ReactNode }) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: `${place} ${keyOf(entry)}`, data: entry, disabled: !isMovable(entry) });
  const { onKeyDown, ...byPointer } = listeners ?? {};
  return (
    <View ref={setNodeRef as never} {...(byPointer as object)} className="row flex-row items-center" style={isDragging ? { opacity: 0.4 } : undefined}>
      <View className="min-w-0 grow shrink basis-0">{children}</View>
      {handle && isMovable(entry)
        ? createElement(
            'button',
            { type: 'button', ...attributes, onKeyDown, className: 'entry-handle', 'aria-label': t('calendar.drag', { title: titleOfEntry(entry) }) },
            <Icon name="grip" size={16} />,
          )
        : null}
    </View>
  );
}

const under: CollisionDetection = (args) => (args.pointerCoordinates ? pointerWithin(args) : closestCenter(args));

const WAYS: Record<string, readonly [number, number]> = { ArrowDown: [0, 1], ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowLeft: [-1, 0] };

/** An arrow goes to the middle of the nearest day or hour that way. */
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
    return along > 8 ? [{ right, down, far: along + 3 * aside }] : [];
  });
  const next = found.sort((a, b) => a.far - b.far)[0];
  return next && { x: currentCoordinates.x + next.right, y: currentCoordinates.y + next.down };
};
