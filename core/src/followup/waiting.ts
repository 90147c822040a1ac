import type { Rows } from '../reader/finding.ts';
import { isDone } from './standing.ts';
import type { House } from '../model/house.ts';
import { YES } from '../model/nouns.ts';
import type { Wait } from '../model/wait-schema.ts';
import { instantAt } from '../time/clock.ts';
import { earliestFirst } from '../time/earliest-first.ts';

/** The waits of an item that have not ended. */
export const openWaits = (waits: readonly Wait[]): Wait[] => waits.filter((wait) => wait.endedAt === null);

/** What has to be done first; null: it is no item. A row from before that could be said names none. */
export const dependsOn = ({ onItemId }: Pick<Wait, 'onItemId'>): string | null => onItemId ?? null;

/** Waits whose day to ask again is in the future, or that have none: the item can't go on today. */
export const holdsBack = (wait: Pick<Wait, 'askOn' | 'endedAt'>, today: string): boolean =>
  wait.endedAt === null && (wait.askOn === null || wait.askOn > today);

export interface AskAgain {
  waitId: string;
  /** UTC instant: the morning of the day. */
  at: string;
}

/** When what was waited for is to be asked about again, the next first: in the morning of the day chosen, once. */
export function asksAhead(house: Pick<House, 'zone' | 'dayParts'>, rows: Rows): AskAgain[] {
  const found = rows.by('wait', 'open', YES).flatMap((wait) => {
    if (wait.askOn === null || wait.toldOn === wait.askOn || !isOpen(wait, rows)) return [];
    return [{ waitId: wait.id, at: instantAt(`${wait.askOn}T${house.dayParts.morning}`, house.zone) }];
  });
  return earliestFirst(found, ({ waitId }) => waitId);
}

/** Everything somebody marked as waiting that is still open, the longest first. */
export function waitsOf(makerId: string, rows: Rows): Wait[] {
  return rows
    .by('wait', 'open', YES)
    .filter((wait) => wait.makerId === makerId && isOpen(wait, rows))
    .sort((a, b) => (a.since < b.since ? -1 : a.since > b.since ? 1 : a.id < b.id ? -1 : 1));
}

function isOpen(wait: Wait, rows: Rows): boolean {
  const item = rows.find('item', wait.itemId);
  return item !== undefined && item.removedAt === null && !isDone(item, rows.by('part', 'itemId', item.id));
}
