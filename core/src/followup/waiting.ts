import { isDone } from './standing.ts';
import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Wait } from '../model/wait.ts';
import { instantAt } from '../time/clock.ts';

/** What waiting reads: a part of `Reader` that every side has. */
export interface WaitRows {
  all(noun: 'wait'): Wait[];
  by(noun: 'part', field: 'itemId', value: string): Part[];
  get(noun: 'item', id: string): Item | 'absent' | 'not-held';
}

/** The waits of an item that have not ended. */
export const openWaits = (waits: readonly Wait[]): Wait[] => waits.filter((wait) => wait.endedAt === null);

/** Waits whose day to ask again is in the future, or that have none: the item can't go on today. */
export const holdsBack = (wait: Pick<Wait, 'askOn' | 'endedAt'>, today: string): boolean =>
  wait.endedAt === null && (wait.askOn === null || wait.askOn > today);

export interface AskAgain {
  waitId: string;
  /** UTC instant: the morning of the day. */
  at: string;
}

/** The next day on which somebody is told to ask again, or null. */
export function firstAskAgain(house: Pick<House, 'zone' | 'dayParts'>, rows: WaitRows): AskAgain | null {
  let first: AskAgain | null = null;
  for (const wait of rows.all('wait')) {
    if (wait.endedAt !== null || wait.askOn === null || wait.toldOn === wait.askOn || !isOpen(wait, rows)) continue;
    const at = instantAt(`${wait.askOn}T${house.dayParts.morning}`, house.zone);
    if (first === null || at < first.at || (at === first.at && wait.id < first.waitId)) first = { waitId: wait.id, at };
  }
  return first;
}

/** Everything somebody marked as waiting that is still open, the longest first. */
export function waitsOf(makerId: string, rows: WaitRows): Wait[] {
  return rows
    .all('wait')
    .filter((wait) => wait.makerId === makerId && wait.endedAt === null && isOpen(wait, rows))
    .sort((a, b) => (a.since < b.since ? -1 : a.since > b.since ? 1 : a.id < b.id ? -1 : 1));
}

function isOpen(wait: Wait, rows: WaitRows): boolean {
  const item = rows.get('item', wait.itemId);
  return typeof item !== 'string' && item.removedAt === null && !isDone(item, rows.by('part', 'itemId', item.id));
}
