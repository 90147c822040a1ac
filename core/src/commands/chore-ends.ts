import type { Series } from '../model/series.ts';
import { isHere } from '../model/person.ts';
import { stampOf } from '../model/row.ts';
import { isOver, isSetAside, madeOf } from '../recurrence/chores.ts';
import type { Reader } from '../reader/reader.ts';
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

const goesOn = (series: Series, date: string): boolean => (series.endsBefore === null || series.endsBefore > date) && !isSetAside(series);

/** The chores of a list that go on: they end with it. */
export const choresOfList = (listId: string, date: string, rows: Pick<Reader, 'all'>): Series[] =>
  rows.all('series').filter((series) => series.listId === listId && goesOn(series, date));

/** The chores nobody else has: they end with who goes. */
export function choresOnlyOf(personId: string, date: string, rows: Pick<Reader, 'all' | 'get'>): Series[] {
  const isAnother = (id: string) => {
    const person = rows.get('person', id);
    return id !== personId && typeof person !== 'string' && isHere(person);
  };
  return rows.all('series').filter((series) => series.personIds.includes(personId) && !series.personIds.some(isAnother) && goesOn(series, date));
}

/** A list that is brought back brings back the chores that ended with it, in the same action. */
export function resumeWith(listId: string, d: Deciding): void {
  const removed = stampOf(d.need('list', listId), 'removedAt');
  for (const series of d.all('series')) {
    const ended = stampOf(series, 'endsBefore');
    if (series.listId === listId && removed && ended && ended.s === removed.s) d.set('series', series.id, { endsBefore: null });
  }
}
