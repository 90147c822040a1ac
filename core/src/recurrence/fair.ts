/** Whose turn it is where it goes to whoever has carried least of late. */

/** So many days back, the day itself included. */
export const FAIR_DAYS = 28;

export interface Carried {
  personId: string;
  /** Days since the epoch. */
  day: number;
  minutes: number;
}

export interface Able {
  id: string;
  name: string;
  /** Minutes they have on a day; 0 on every day: they are not able. */
  capacityOn: (day: number) => number;
  /** In the house already, and not away. */
  isPresentOn: (day: number) => boolean;
}

export interface FairTurn {
  personId: string;
  /** What they carried in the four weeks up to that day. */
  minutes: number;
}

/**
 * The one with the least load among those present that day: minutes of fair chores done or open within 28 days ÷ capacity of those
 * days. A day on which somebody was not present counts for them as it went for the others who were, on the mean, so that who comes, or
 * comes back, is neither flooded nor spared. Ties: longest since the last, then name. Null: nobody is able.
 */
export function fairTurn(day: number, people: readonly Able[], carried: readonly Carried[]): FairTurn | null {
  const tallies = people.map((person) => tallyOf(person, day, carried)).filter(({ capacity }) => capacity > 0);
  const able = tallies.filter(({ person }) => person.isPresentOn(day));
  const loads = able.map((tally) => ({ tally, load: loadOf(tally, tallies, day), last: lastOf(tally.person.id, carried) }));
  loads.sort((a, b) => a.load - b.load || a.last - b.last || (a.tally.person.name < b.tally.person.name ? -1 : 1));
  const first = loads[0]?.tally;
  return first ? { personId: first.person.id, minutes: sum(first.minutes.values()) } : null;
}

interface Tally {
  person: Able;
  /** By day since the epoch. */
  minutes: Map<number, number>;
  /** Of all the days. */
  capacity: number;
}

const daysUpTo = (day: number): number[] => Array.from({ length: FAIR_DAYS }, (_, nth) => day - nth);

function tallyOf(person: Able, day: number, carried: readonly Carried[]): Tally {
  const minutes = new Map<number, number>();
  for (const one of carried) {
    if (one.personId !== person.id || one.day > day || one.day <= day - FAIR_DAYS) continue;
    minutes.set(one.day, (minutes.get(one.day) ?? 0) + one.minutes);
  }
  return { person, minutes, capacity: sum(daysUpTo(day).map((one) => person.capacityOn(one))) };
}

/** Minutes ÷ capacity of the 28 days. */
function loadOf({ person, minutes, capacity }: Tally, all: readonly Tally[], day: number): number {
  let load = sum(minutes.values()) / capacity;
  for (const one of daysUpTo(day)) {
    if (person.isPresentOn(one)) continue;
    const others = all.filter((other) => other.person.id !== person.id && other.person.isPresentOn(one));
    if (others.length > 0) load += sum(others.map((other) => (other.minutes.get(one) ?? 0) / other.capacity)) / others.length;
  }
  return load;
}

const sum = (values: Iterable<number>): number => {
  let total = 0;
  for (const value of values) total += value;
  return total;
};

const lastOf = (personId: string, carried: readonly Carried[]): number =>
  carried.reduce((last, one) => (one.personId === personId && one.day > last ? one.day : last), Number.NEGATIVE_INFINITY);
