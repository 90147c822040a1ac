import { titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { createElement } from 'react';
import { View } from 'react-native';
import { Icon } from '@/ui';
import { DragBetween } from '@/ui/drag-between.tsx';
import { t } from '@/words';
import { sayExactly } from '@/words/dates.ts';
import { sayDragOfRows } from '@/words/dragging.ts';
import { keyOf } from './entry.ts';
import type { Move } from './use-move.tsx';

/** Days and hours between which entries are dragged. */
export function CalendarDrag({ onMove, children }: { onMove: Move; children: React.ReactNode }) {
  return (
    <DragBetween<CalendarEntry> words={sayDragOfRows()} nameOf={sayExactly} titleOf={titleOfEntry} onDrop={(entry, target) => dropped(entry, target, onMove)}>
      {() => children}
    </DragBetween>
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
