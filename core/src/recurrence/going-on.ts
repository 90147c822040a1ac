import { isHere } from '../model/person.ts';
import type { Series } from '../model/series.ts';
import type { Reader } from '../reader/reader.ts';
import { isSetAside } from './chores.ts';

const goesOn = (series: Series, date: string): boolean => (series.endsBefore === null || series.endsBefore > date) && !isSetAside(series);

/** The chores of a list that go on: they end with it. */
export const choresOfList = (listId: string, date: string, rows: Pick<Reader, 'all'>): Series[] =>
  rows.all('series').filter((series) => series.listId === listId && goesOn(series, date));

/** The chores nobody else has: they end with who goes. */
export function choresOnlyOf(personId: string, date: string, rows: Pick<Reader, 'all' | 'find'>): Series[] {
  const isAnother = (id: string) => {
    const person = rows.find('person', id);
    return id !== personId && person !== undefined && isHere(person);
  };
  return rows.all('series').filter((series) => series.personIds.includes(personId) && !series.personIds.some(isAnother) && goesOn(series, date));
}
