import { GUESSED_MINUTES } from '../model/nature.ts';
import type { Override, Series } from '../model/series.ts';
import { Follows } from '../reader/follows.ts';
import type { Rows } from '../reader/finding.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import { daysOf } from '../time/clock.ts';
import type { ChoreHouse } from './chores.ts';
import { comingOf } from './coming.ts';
import { CarriedMinutes, type Carried } from './fair.ts';
import type { Occurrence } from './occurrences.ts';
import { Presence } from './presence.ts';
import { queueAfter } from './turns.ts';
import { assign, carriedOf, inTime, queueOf, type Ahead, type Assigned } from './whose-turn.ts';

/** What follows from one chore alone. */
interface Chore {
  series: Series;
  coming: readonly Occurrence[];
  queue: readonly string[];
  overrides: readonly Override[];
  carried: readonly Carried[];
}

/** An occurrence to come, whose turn it is, and the queue it leaves. */
interface Given {
  series: Series;
  occurrence: Occurrence;
  ahead: Ahead;
  left: string[];
}

const CHORES = 'chores';
const PRESENCE = 'presence';

/** What is no longer as it was when turns were given out last. */
interface Other {
  /** Somebody came, left, is away or has other hours. */
  presence: boolean;
  /** What was carried up to now. */
  carried: boolean;
  /** Chores whose own turns may go to others. */
  chores: ReadonlySet<string>;
}

/**
 * Everything still to come up to a day, kept: after a change only the chores it concerns are looked at anew, and only turns are given out
 * again that may go to others: theirs, and of the fair ones those after the first that went to another. It equals `choresAhead` of the same rows, whatever was changed on the way. What is
 * as it was stays the same object.
 */
export class KeptChores {
  private readonly follows: Follows;
  private readonly chores = new Map<string, Chore>();
  private presence: Presence;
  private given: readonly Given[] = [];

  constructor(
    private readonly until: string,
    rows: Rows,
    private readonly house: ChoreHouse,
  ) {
    this.follows = new Follows(rows);
    for (const id of this.ids()) this.look(id);
    this.presence = this.readPresence();
    this.give(this.inOrder(new Set(this.chores.keys())), { presence: true, carried: true, chores: new Set() });
  }

  get ahead(): readonly Ahead[] {
    return this.given.map(({ ahead }) => ahead);
  }

  /** Takes what changed in the rows. Whether anything is other than it was. */
  take(changes: readonly ChangedRow[]): boolean {
    const concerned = this.follows.concernedBy(changes);
    if (concerned.size === 0) return false;
    const presence = concerned.delete(PRESENCE);
    const before = new Map(this.chores);
    if (concerned.delete(CHORES)) this.follow(new Set(this.ids()), concerned);
    for (const id of concerned) this.look(id);
    if (presence || concerned.size > 0) this.presence = this.readPresence();
    const carriedBy = (chores: ReadonlyMap<string, Chore>) => [...concerned].flatMap((id) => chores.get(id)?.carried ?? []);
    return this.give(this.inOrder(concerned), {
      presence,
      carried: new Difference(carriedBy(before), carriedBy(this.chores)).isThere,
      chores: new Set([...concerned].filter((id) => !isSameForTurns(before.get(id), this.chores.get(id)))),
    });
  }

  private readonly ids = (): string[] => this.follows.as(CHORES, (rows) => rows.all('series').map(({ id }) => id));

  /** Chores that came or went are looked at too. */
  private follow(now: ReadonlySet<string>, concerned: Set<string>): void {
    for (const id of now) if (!this.chores.has(id)) concerned.add(id);
    for (const id of this.chores.keys()) if (!now.has(id)) concerned.add(id);
  }

  private look(id: string): void {
    const chore = this.follows.as(id, (rows): Chore | null => {
      const series = rows.find('series', id);
      if (series === undefined) return null;
      return {
        series,
        coming: comingOf(series, this.until, rows, this.house),
        queue: queueOf(series, rows),
        overrides: rows.by('override', 'seriesId', id),
        carried: carriedOf(series, rows),
      };
    });
    if (chore) this.chores.set(id, chore);
    else this.chores.delete(id);
  }

  /** Of everybody who may be asked about, so that what is asked is followed. */
  private readPresence(): Presence {
    return this.follows.as(PRESENCE, (rows) => {
      const presence = new Presence(rows, this.house);
      for (const { series, overrides } of this.chores.values()) {
        for (const id of series.personIds) presence.of(id);
        for (const { personId } of overrides) if (personId !== null) presence.of(personId);
      }
      return presence;
    });
  }

  /** Those of some chores are put in among the others, which stand in their order. */
  private inOrder(concerned: ReadonlySet<string>): Pick<Given, 'series' | 'occurrence'>[] {
    const anew = [...concerned]
      .flatMap((id) => {
        const chore = this.chores.get(id);
        return chore ? chore.coming.map((occurrence) => ({ series: chore.series, occurrence })) : [];
      })
      .sort(inTime);
    const order: Pick<Given, 'series' | 'occurrence'>[] = [];
    let next = 0;
    for (const one of this.given) {
      if (concerned.has(one.series.id)) continue;
      while (next < anew.length && inTime(anew[next]!, one) < 0) order.push(anew[next++]!);
      order.push(one);
    }
    return [...order, ...anew.slice(next)];
  }

  /** Gives out the turns, those that stay as they are as they were. Whether anything is other than it was. */
  private give(order: readonly Pick<Given, 'series' | 'occurrence'>[], other: Other): boolean {
    const was = this.given;
    const queues = new Map([...this.chores].map(([id, { queue }]) => [id, queue]));
    const carried = new CarriedMinutes([...this.chores.values()].flatMap((chore) => chore.carried));
    const fair = new Difference();
    let passed = 0;
    this.given = order.map((one) => {
      for (; passed < was.length && inTime(was[passed]!, one) < 0; passed++) fair.take(carriedIn(was[passed]!.ahead), -1);
      const before = isSameOne(was[passed], one) ? was[passed++]! : null;
      const { series } = one;
      const stays = before !== null && !other.presence && !other.chores.has(series.id) && (series.turn !== 'fair' || !(other.carried || fair.isThere));
      const given = stays ? withSeries(before, series) : asBefore(before, this.turnOf(one, queues.get(series.id)!, carried));
      queues.set(series.id, given.left);
      const carries = carriedIn(given.ahead);
      for (const each of carries) carried.add(each);
      if (!stays) {
        if (before !== null) fair.take(carriedIn(before.ahead), -1);
        fair.take(carries, 1);
      }
      return given;
    });
    return this.given.length !== was.length || this.given.some(({ ahead }, nth) => ahead !== was[nth]!.ahead);
  }

  private turnOf({ series, occurrence }: Pick<Given, 'series' | 'occurrence'>, queue: readonly string[], carried: CarriedMinutes): Given {
    const assigned = assign(series, occurrence, queue, () => carried, this.presence, this.chores.get(series.id)!.overrides);
    return { series, occurrence, ahead: { series, occurrence, assigned }, left: queueAfter(assigned.turn, assigned.personIds[0] ?? null) };
  }
}

/** What somebody will have carried by it, where it counts. */
function carriedIn({ series, occurrence, assigned }: Ahead): Carried[] {
  if (series.turn !== 'fair') return [];
  return assigned.personIds.map((personId) => ({ personId, day: daysOf(occurrence.at), minutes: series.effort ?? GUESSED_MINUTES }));
}

/** Whether more, or less, was carried by anybody on any day. */
class Difference {
  private readonly minutes = new Map<string, number>();

  constructor(less: readonly Carried[] = [], more: readonly Carried[] = []) {
    this.take(less, -1);
    this.take(more, 1);
  }

  get isThere(): boolean {
    return this.minutes.size > 0;
  }

  take(carried: readonly Carried[], sign: 1 | -1): void {
    for (const { personId, day, minutes } of carried) {
      const key = `${personId} ${day}`;
      const sum = (this.minutes.get(key) ?? 0) + sign * minutes;
      if (sum === 0) this.minutes.delete(key);
      else this.minutes.set(key, sum);
    }
  }
}

const isSameOne = (a: Given | undefined, b: Pick<Given, 'series' | 'occurrence'>): boolean =>
  a !== undefined && a.series.id === b.series.id && isSameOccurrence(a.occurrence, b.occurrence);

/** The same turn, of the chore as it is now. */
const withSeries = (given: Given, series: Series): Given => (given.series === series ? given : { ...given, series, ahead: { ...given.ahead, series } });

function asBefore(was: Given | null, now: Given): Given {
  const isAsBefore = was !== null && was.series === now.series && isSameAssigned(was.ahead.assigned, now.ahead.assigned) && isSameList(was.left, now.left);
  return isAsBefore ? was : now;
}

function isSameForTurns(a: Chore | undefined, b: Chore | undefined): boolean {
  return (
    a !== undefined &&
    b !== undefined &&
    a.series.turn === b.series.turn &&
    a.series.effort === b.series.effort &&
    isSameList(a.series.personIds, b.series.personIds) &&
    isSameList(a.queue, b.queue) &&
    isSameList(a.overrides, b.overrides)
  );
}

const isSameOccurrence = (a: Occurrence, b: Occurrence): boolean => a === b || (a.at === b.at && a.recurrenceId === b.recurrenceId);

function isSameAssigned(a: Assigned, b: Assigned): boolean {
  const [one, other] = [a.turn, b.turn];
  return (
    isSameList(a.personIds, b.personIds) &&
    one.kind === other.kind &&
    one.countsFor === other.countsFor &&
    one.minutes === other.minutes &&
    isSameList(one.queue, other.queue) &&
    isSameList(one.skipped, other.skipped)
  );
}

const isSameList = <T>(a: readonly T[], b: readonly T[]): boolean => a.length === b.length && a.every((one, nth) => one === b[nth]);
