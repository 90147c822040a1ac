import { isDone, openParts } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { ChoreHouse } from '../recurrence/chores.ts';
import type { Slot } from '../model/slot.ts';
import { isAwayOn } from '../recurrence/presence.ts';
import { choresAhead } from '../recurrence/whose-turn.ts';
import type { Reader } from '../reader/reader.ts';
import { addDays, calendarDateOf, daysBetween, weekdayOf } from '../time/clock.ts';
import { minutesFor } from './day-sheet.ts';
import { openItems } from './in-play.ts';

/** Four weeks. */
export const LOAD_DAYS = 28;

export interface DayLoad {
  /** Calendar date. */
  date: string;
  minutes: number;
  /** Minutes there are; null: nobody said. */
  capacity: number | null;
  away: boolean;
}

/**
 * What each of some people has on each of the next four weeks' days, in minutes: by the plan where there is one and it can be seen,
 * else by the deadline; time that was booked once, in the place of the plan; what is late or carried over counts today. Chores still to come count on their day for whose turn it would be.
 */
export function loadAhead(personIds: readonly string[], now: string, house: ChoreHouse, rows: Pick<Reader, 'find' | 'by' | 'all'>): Map<string, DayLoad[]> {
  const today = calendarDateOf(now, house.zone);
  const last = addDays(today, LOAD_DAYS - 1);
  const loads = new Map(personIds.map((id) => [id, emptyDays(id, today, rows)]));
  const add = (personId: string | null, date: string, minutes: number) => {
    const days = personId === null ? undefined : loads.get(personId);
    if (days && date <= last) days[Math.max(0, daysBetween(today, date))]!.minutes += minutes;
  };
  const booked = bookedFrom(today, rows);
  for (const { slot } of booked) add(slot.personId, slot.start.slice(0, 10), slot.minutes);
  const isBooked = new Set(booked.flatMap(({ slot, items }) => items.map(({ id }) => `${slot.personId} ${id}`)));
  for (const item of openItems(rows)) addItem(item, isBooked, rows, add);
  for (const { series, occurrence, assigned } of choresAhead(last, rows, house))
    for (const id of assigned.personIds) add(id, occurrence.at.slice(0, 10), minutesFor(series));
  return loads;
}

function emptyDays(personId: string, today: string, rows: Pick<Reader, 'by'>): DayLoad[] {
  const known = rows.by('capacity', 'personId', personId)[0];
  return Array.from({ length: LOAD_DAYS }, (_, nth) => {
    const date = addDays(today, nth);
    const away = isAwayOn(personId, date, rows);
    return { date, minutes: 0, capacity: known ? (away ? 0 : known.minutes[weekdayOf(date) - 1]!) : null, away };
  });
}

/** Time booked from a day on for something that is still open: it stands for the plan of what it is booked for. */
export function bookedFrom(date: string, rows: Pick<Reader, 'find' | 'by' | 'all'>): { slot: Slot; items: Item[] }[] {
  const found: { slot: Slot; items: Item[] }[] = [];
  for (const slot of rows.all('slot')) {
    if (slot.removedAt !== null || slot.start.slice(0, 10) < date) continue;
    const items = slot.itemIds.flatMap((id) => {
      const item = rows.find('item', id);
      return item === undefined || item.removedAt !== null || isDone(item, rows.by('part', 'itemId', id)) ? [] : [item];
    });
    if (items.length > 0) found.push({ slot, items });
  }
  return found;
}

function addItem(
  item: Item,
  isBooked: ReadonlySet<string>,
  rows: Pick<Reader, 'by'>,
  add: (personId: string | null, date: string, minutes: number) => void,
): void {
  const parts = rows.by('part', 'itemId', item.id);
  if (isDone(item, parts)) return;
  for (const part of openParts(parts)) {
    const date = (part.plan ?? item.due)?.slice(0, 10);
    if (date !== undefined && part.shelvedAt === null && !isBooked.has(`${part.personId} ${item.id}`))
      add(part.personId, date, (minutesFor(item) * (100 - part.percent)) / 100);
  }
}
