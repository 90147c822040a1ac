import type { Series } from '../model/series.ts';
import { stampOf } from '../model/row.ts';
import { isOver, madeOf } from '../recurrence/chores.ts';
import { calendarDateOf } from '../time/clock.ts';
import { withdraw } from './appearing.ts';
import type { Deciding } from './deciding.ts';

/** A chore ends from an occurrence or a day on: what is open and before stays open. */
export function endFrom(series: Series, from: string, d: Deciding): void {
  d.set('series', series.id, { endsBefore: from });
  for (const item of madeOf(series.id, d)) {
    if (item.recurrenceId! < from || isOver(item, d)) continue;
    withdraw(item, d);
    d.enter('chore.end', { itemId: item.id }, { title: series.title });
  }
}

const today = (d: Deciding): string => calendarDateOf(d.now, d.house.zone);

export const endToday = (series: readonly Series[], d: Deciding): void => series.forEach((one) => endFrom(one, today(d), d));

/** A list that is brought back brings back the chores that ended with it, in the same action. */
export function resumeWith(listId: string, d: Deciding): void {
  const removed = stampOf(d.need('list', listId), 'removedAt');
  for (const series of d.all('series')) {
    const ended = stampOf(series, 'endsBefore');
    if (series.listId === listId && removed && ended && ended.s === removed.s) d.set('series', series.id, { endsBefore: null });
  }
}
