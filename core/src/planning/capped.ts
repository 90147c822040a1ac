import type { AgendaEntry } from './agenda.ts';
import { isToCome } from './fits-now.ts';

/** A day that holds no more than so many things at a time. */
export interface CappedDay {
  shown: AgendaEntry[];
  /** Waits folded until there is room. */
  rest: AgendaEntry[];
  /** When all that was shown is done: the next best of the rest, then of what is ahead. */
  next: AgendaEntry | null;
}

/**
 * Holds a day to its cap: what was done today has used up its place, so the day gets shorter as one works instead of filling up again.
 * Nothing that was taken off today is offered.
 * @param agenda in the order of the day; @param date today, as a calendar date.
 */
export function cappedDay(agenda: readonly AgendaEntry[], cap: number | null, date: string): CappedDay {
  const open = agenda.filter((entry) => entry.where === 'today');
  const room = cap === null ? open.length : Math.max(0, cap - agenda.filter((entry) => wasForToday(entry, date)).length);
  const shown = open.slice(0, room);
  const rest = open.slice(room);
  const next =
    shown.length > 0
      ? null
      : (rest[0] ?? agenda.find((entry) => entry.where === 'ahead' && entry.part.takenOff !== date && !isToCome(entry.item, date)) ?? null);
  return { shown, rest: next === rest[0] ? rest.slice(1) : rest, next };
}

const wasForToday = ({ where, day, part }: AgendaEntry, date: string): boolean =>
  where === 'done' && ((day !== null && day <= date) || part.pulledInto === date);
