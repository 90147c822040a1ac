import { titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { DragBetween, DragPiece, DropSpot } from '@/ui/drag-between.tsx';
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
export const DropMoment = ({ moment, ...rest }: { moment: string; className?: string; children: React.ReactNode }) => <DropSpot id={moment} {...rest} />;

const isMovable = (entry: CalendarEntry): boolean => entry.kind === 'ahead' || !entry.done;

/** An entry that can be taken hold of. `place`: where it stands, as it may stand twice. */
export function DragEntry({ entry, place, handle = true, children }: { entry: CalendarEntry; place: string; handle?: boolean; children: React.ReactNode }) {
  return (
    <DragPiece
      id={`${place} ${keyOf(entry)}`}
      data={entry}
      disabled={!isMovable(entry)}
      handle={handle ? t('calendar.drag', { title: titleOfEntry(entry) }) : null}
    >
      {children}
    </DragPiece>
  );
}
