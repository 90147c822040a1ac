/** Whose turn it is where it goes to whoever has carried least of late. */

/** So many days back, the day itself included. */
const FAIR_DAYS = 28;

/** Days in which every weekday comes equally often: four of each. */
const WEEKS = FAIR_DAYS / 7;

export interface Carried {
  personId: string;
  /** Days since the epoch. */
  day: number;
  minutes: number;
}

/** What everyone carried, looked up by person and day. */
export class CarriedMinutes {
  private readonly days = new Map<string, Map<number, number>>();
  private readonly lasts = new Map<string, number>();
  /** Of each person the sum that was asked for last: turns are given day by day, many on each. */
  private readonly sums = new Map<string, { day: number; minutes: number }>();

  constructor(carried: Iterable<Carried> = []) {
    for (const one of carried) this.add(one);
  }

  add({ personId, day, minutes }: Carried): void {
    const days = this.days.get(personId) ?? new Map<number, number>();
    this.days.set(personId, days.set(day, (days.get(day) ?? 0) + minutes));
    this.lasts.set(personId, Math.max(day, this.lastOf(personId)));
    const sum = this.sums.get(personId);
    if (sum && day <= sum.day && day > sum.day - FAIR_DAYS) sum.minutes += minutes;
  }

  /** In the four weeks up to a day, the day itself included. */
  upTo(personId: string, day: number): number {
    const known = this.sums.get(personId);
    if (known?.day === day) return known.minutes;
    let minutes = 0;
    for (let on = day - FAIR_DAYS + 1; on <= day; on++) minutes += this.on(personId, on);
    this.sums.set(personId, { day, minutes });
    return minutes;
  }

  on = (personId: string, day: number): number => this.days.get(personId)?.get(day) ?? 0;

  lastOf = (personId: string): number => this.lasts.get(personId) ?? Number.NEGATIVE_INFINITY;
}

export interface Able {
  id: string;
  name: string;
  /** Minutes they have in a week; 0: they are not able. */
  weekly: number;
  /** Away, or not in the house yet. */
  absences: readonly Days[];
}

/** Days since the epoch, both included. */
export interface Days {
  from: number;
  to: number;
}

const isPresentOn = ({ absences }: Able, day: number): boolean => absences.every(({ from, to }) => day < from || day > to);

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
export function fairTurn(day: number, people: readonly Able[], carried: CarriedMinutes): FairTurn | null {
  const able = people.filter(({ weekly }) => weekly > 0);
  const tallies = able.map((person) => ({ person, load: loadOf(person, able, day, carried), last: carried.lastOf(person.id) }));
  const present = tallies.filter(({ person }) => isPresentOn(person, day));
  present.sort((a, b) => a.load - b.load || a.last - b.last || (a.person.name < b.person.name ? -1 : 1));
  const first = present[0]?.person;
  return first ? { personId: first.id, minutes: carried.upTo(first.id, day) } : null;
}

/** Minutes ÷ capacity of the 28 days. */
function loadOf(person: Able, all: readonly Able[], day: number, carried: CarriedMinutes): number {
  let load = carried.upTo(person.id, day) / (person.weekly * WEEKS);
  for (const { from, to } of apart(person.absences))
    for (let on = Math.max(from, day - FAIR_DAYS + 1); on <= Math.min(to, day); on++) load += meanOfOthers(person, all, on, carried);
  return load;
}

/** Absences without their overlaps, so that a day counts once. */
function apart(absences: readonly Days[]): Days[] {
  if (absences.length < 2) return [...absences];
  const found: Days[] = [];
  for (const one of [...absences].sort((a, b) => a.from - b.from)) {
    const from = Math.max(one.from, (found.at(-1)?.to ?? Number.NEGATIVE_INFINITY) + 1);
    if (from <= one.to) found.push({ from, to: one.to });
  }
  return found;
}

/** How a day went for the others who were there. */
function meanOfOthers(person: Able, all: readonly Able[], on: number, carried: CarriedMinutes): number {
  const others = all.filter((other) => other.id !== person.id && isPresentOn(other, on));
  return others.length === 0 ? 0 : others.reduce((total, other) => total + carried.on(other.id, on) / (other.weekly * WEEKS), 0) / others.length;
}
