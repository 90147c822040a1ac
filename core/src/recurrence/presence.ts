import type { Rows } from '../reader/finding.ts';
import { isHere } from '../model/person.ts';
import { calendarDateOf, daysOf } from '../time/clock.ts';
import type { ChoreHouse } from './chores.ts';
import type { Able, Days } from './fair.ts';

/** Minutes a day where nobody said. */
export const USUAL_CAPACITY = 60;

/** Away on a calendar date. */
export const isAwayOn = (personId: string, date: string, rows: Pick<Rows, 'by'>): boolean =>
  rows.by('timeAway', 'personId', personId).some(({ from, to, removedAt }) => removedAt === null && from <= date && date <= to);

interface Known extends Able {
  isAwayOn: (day: number) => boolean;
}

/** Who is in the house, and there on a day: of each read once, however many turns are asked for. */
export class Presence {
  private readonly known = new Map<string, Known | null>();

  constructor(
    private readonly rows: Rows,
    private readonly house: ChoreHouse,
  ) {}

  /** Null: not in the house, or no longer. */
  of(personId: string): Able | null {
    return this.read(personId);
  }

  isInHouse(personId: string): boolean {
    return this.read(personId) !== null;
  }

  /** In the house, and not away that day. Days are counted since the epoch. */
  isThere(personId: string, day: number): boolean {
    const known = this.read(personId);
    return known !== null && !known.isAwayOn(day);
  }

  private read(personId: string): Known | null {
    const held = this.known.get(personId);
    if (held !== undefined) return held;
    const known = this.look(personId);
    this.known.set(personId, known);
    return known;
  }

  private look(personId: string): Known | null {
    const person = this.rows.find('person', personId);
    if (person === undefined || !isHere(person)) return null;
    const aways = this.rows
      .by('timeAway', 'personId', personId)
      .filter(({ removedAt }) => removedAt === null)
      .map(({ from, to }): Days => ({ from: daysOf(from), to: daysOf(to) }));
    const joined = daysOf(calendarDateOf(person.joinedAt, this.house.zone));
    const minutes = this.rows.by('capacity', 'personId', personId)[0]?.minutes;
    return {
      id: personId,
      name: person.name,
      weekly: minutes?.reduce((sum, one) => sum + one, 0) ?? USUAL_CAPACITY * 7,
      absences: [{ from: Number.NEGATIVE_INFINITY, to: joined - 1 }, ...aways],
      isAwayOn: (day) => aways.some(({ from, to }) => from <= day && day <= to),
    };
  }
}
