import type { House, Holidays as Known } from '@kotiva/core';
import Holidays from 'date-holidays';

/** Public holidays of the regions of the world, from tables that ship with the server. */

const LANGUAGE = 'en';
/** So many years from this one on are kept in a house: rules that look further ahead find weekends only. */
const YEARS = 5;

/** What is to be looked up for a house this year, or null if nothing is. */
export function holidaysToLookUp({ region, holidays }: Pick<House, 'region' | 'holidays'>, now: string): { region: string; until: number } | null {
  const until = Number(now.slice(0, 4)) + YEARS;
  if (region === null || (holidays?.region === region && holidays.until >= until)) return null;
  return { region, until };
}

/** Each public holiday of a region from last year to the end of `until`; none for a region the tables don't know. */
export function lookUpHolidays(region: string, until: number): Known {
  const [country, state, within] = region.split('-') as [string, string?, string?];
  const tables = new Holidays(country, state ?? '', within ?? '', { languages: [LANGUAGE], types: ['public'] });
  const days = new Map<string, string>();
  for (let year = until - YEARS - 1; year <= until; year++)
    for (const { date, name } of tables.getHolidays(year)) days.set(date.slice(0, 10), name.slice(0, 80));
  return { region, until, days: [...days].map(([date, name]) => ({ date, name })) };
}

export interface RegionName {
  region: string;
  name: string;
}

/** The countries there are tables of, each followed by its parts. */
export function regions(): RegionName[] {
  const tables = new Holidays();
  return Object.entries(tables.getCountries(LANGUAGE)).flatMap(([country, name]) => [
    { region: country, name },
    ...Object.entries(tables.getStates(country, LANGUAGE) ?? {}).map(([state, part]) => ({ region: `${country}-${state}`, name: `${name}, ${part}` })),
  ]);
}
