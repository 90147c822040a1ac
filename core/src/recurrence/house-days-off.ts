import type { House } from '../model/house.ts';

/** The holidays of a house's region, with its own days off. */

type OffHouse = Pick<House, 'region' | 'holidays' | 'daysOff'>;

const known = new WeakMap<OffHouse, ReadonlyMap<string, string>>();

/** Calendar dates with what each is called. Holidays of a region it is not in any more are not among them. */
export function daysOffOf(house: OffHouse): ReadonlyMap<string, string> {
  const held = known.get(house);
  if (held) return held;
  const holidays = house.region !== null && house.holidays?.region === house.region ? house.holidays.days : [];
  const found = new Map([...holidays, ...house.daysOff].map(({ date, name }) => [date, name]));
  known.set(house, found);
  return found;
}
