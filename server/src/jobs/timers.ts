import { epochOf, instantOf, isHere, WINDOW_MS, type House, type Noun, type Reader } from '@kotiva/core';
import type { Clock } from '../clock.ts';
import { isOfStorage } from '../db/faults.ts';
import type { Raw } from '../db/open.ts';
import { atOnce, inSlices } from '../slices.ts';
import type { Ledger } from '../sync/apply.ts';
import { Forgetting } from './forgetting.ts';
import { PLANNERS, roundOf, type Due, type Planner } from './planners.ts';
import { HouseDues, type HouseDue } from './house-dues.ts';
import { dueKey, houseKey, plannerKey, Setbacks } from './setbacks.ts';

/** What comes next in a house, for as long as nothing in it has changed and nothing that was set aside is tried again. */
interface Known extends HouseDue {
  /** Null: nothing does, or only when is known. */
  next: Due | null;
  /** When something set aside is tried again; null: nothing is. */
  again: string | null;
}

/**
 * Does what is due by the clock of each house. Nothing has to be remembered: what comes next follows from the rows, and each is one
 * command whose id follows from what it is about and its moment. So it may be cut off anywhere and begun again: nothing happens
 * twice, nothing is missed. A house, a planner or a due that fails is set aside by itself; the rest goes on.
 */
export class Timers {
  private readonly known = new Map<string, Known>();
  private readonly dues: HouseDues;
  private readonly houses: Set<string>;
  private readonly forgetting: Forgetting;
  private running: Promise<number> | null = null;

  constructor(
    private readonly raw: Raw,
    private readonly ledger: Ledger,
    private readonly clock: Clock,
    readonly setbacks = new Setbacks(clock),
    private readonly planners: Readonly<Record<string, Planner>> = PLANNERS,
    build = '',
  ) {
    this.forgetting = new Forgetting(raw);
    this.dues = new HouseDues(raw, build);
    for (const [houseId, due] of this.dues.all()) this.known.set(houseId, { ...due, next: null, again: null });
    this.houses = new Set((raw.prepare('SELECT "houseId" FROM sequence').all() as { houseId: string }[]).map(({ houseId }) => houseId));
    ledger.onCommit(({ houseId }) => this.houses.add(houseId));
  }

  /** Does everything whose time has come, earliest first; what is overdue happens once. Returns how many. */
  run(): number {
    return atOnce(this.steps());
  }

  /** The same a slice at a time, so that nobody waits for it. Never two at once. */
  runInSlices(): Promise<number> {
    this.running ??= inSlices(this.steps()).finally(() => (this.running = null));
    return this.running;
  }

  /** The moment of what comes next in any house, or null. */
  nextAt(): string | null {
    return atOnce(this.lookAhead());
  }

  nextAtInSlices(): Promise<string | null> {
    return inSlices(this.lookAhead());
  }

  private *lookAhead(): Generator<void, string | null> {
    let earliest: string | null = null;
    for (const houseId of this.houses) {
      const { at } = yield* this.lookedUp(houseId);
      if (at !== null && (earliest === null || at < earliest)) earliest = at;
      yield;
    }
    this.dues.save();
    return earliest;
  }

  /** Nothing in this house can be worked out: its people can read, and what they do waits on their devices. */
  rests(houseId: string): boolean {
    return this.setbacks.until(houseKey(houseId)) !== null;
  }

  private *steps(): Generator<void, number> {
    this.forgetting.run(this.clock.now());
    const due = new Map<string, Due>();
    const look = function* (this: Timers, houseId: string): Generator<void> {
      const { next } = yield* this.lookedUp(houseId);
      if (next && next.at <= this.clock.now()) due.set(houseId, next);
      else due.delete(houseId);
    }.bind(this);
    for (const houseId of this.houses) {
      yield* look(houseId);
      yield;
    }
    this.dues.save();
    let done = 0;
    for (let next = earliestOf(due); next !== null; next = earliestOf(due)) {
      if (this.give(next)) {
        done += 1;
        if (next.name === 'nudge.send') for (const other of this.pullForward(next)) yield* look(other);
      }
      yield;
      const before = next.id;
      yield* look(next.houseId);
      // each happens once: met again, its house would have to be looked at by somebody
      if (due.get(next.houseId)?.id === before && this.setbacks.until(dueKey(before)) === null) {
        this.setAside(next, new Error('the same thing fell due twice'));
        yield* look(next.houseId);
      }
    }
    this.dues.save();
    return done;
  }

  /** The window a nudge opens is the account's: what it would be asked in its other houses within it is asked now. Returns those houses. */
  private pullForward({ houseId, payload }: Due): string[] {
    const { person: personId } = payload as { person: string };
    const person = this.ledger.rows(houseId).find('person', personId);
    if (person === undefined || person.accountId === null) return [];
    const until = instantOf(epochOf(this.clock.now()) + WINDOW_MS);
    const others = this.housesOf(person.accountId).filter((other) => other !== houseId);
    for (const other of others) {
      try {
        const rows: Reader = this.ledger.rows(other);
        const house = rows.find('house', other);
        const self = rows.by('person', 'accountId', person.accountId).find(isHere);
        const round = house === undefined || !self ? null : roundOf(self.id, until, house, rows);
        if (round && this.setbacks.until(dueKey(round.id)) === null) this.give(round);
      } catch (error) {
        if (isOfStorage(error)) throw error;
        this.setbacks.add(plannerKey(other, 'nudges'), { houseId: other, kind: 'nudges' }, error);
        this.known.delete(other);
      }
    }
    return others;
  }

  /** Whether it happened; what did not is set aside. */
  private give(due: Due): boolean {
    const { id, houseId, name, payload } = due;
    try {
      const outcome = this.ledger.apply({ id, houseId, name, payload, at: this.clock.now(), seen: 0 }, null);
      if (outcome.outcome === 'refused') throw new Error(`${name} was refused: ${JSON.stringify(outcome.reason)}`);
      this.setbacks.clear(dueKey(id));
      return true;
    } catch (error) {
      if (isOfStorage(error)) throw error;
      this.setAside(due, error);
      return false;
    }
  }

  private setAside({ id, houseId, name }: Due, error: unknown): void {
    this.setbacks.add(dueKey(id), { houseId, kind: name }, error);
    this.known.delete(houseId);
  }

  private *lookedUp(houseId: string): Generator<void, Known> {
    const seq = this.ledger.seq(houseId);
    const known = this.known.get(houseId);
    if (known?.seq === seq && this.holds(known)) return known;
    const made: Known = { seq, at: null, next: null, again: this.setbacks.until(houseKey(houseId)) };
    if (made.again === null) yield* this.plan(houseId, made);
    made.at = made.next?.at ?? null;
    this.known.set(houseId, made);
    this.dues.put(houseId, { seq, at: earlier(made.at, made.again) });
    return made;
  }

  /** Where only the moment is known, what it is has to be worked out before it comes. */
  private holds({ at, next, again }: Known): boolean {
    const now = this.clock.now();
    if (again !== null && again <= now) return false;
    return next !== null || at === null || at > instantOf(epochOf(now) + AHEAD_MS);
  }

  private *plan(houseId: string, made: Known): Generator<void> {
    const rows: Reader = this.ledger.rows(houseId);
    let house: House | undefined;
    try {
      house = rows.find('house', houseId);
    } catch (error) {
      return this.rest(houseId, made, error);
    }
    if (house === undefined) return;
    for (const noun of PLANNED) yield* this.ledger.rows(houseId).loading(noun);
    let failed = 0;
    for (const [name, planner] of Object.entries(this.planners)) {
      const key = plannerKey(houseId, name);
      const aside = this.setbacks.until(key);
      if (aside !== null) {
        made.again = earlier(made.again, aside);
        failed += 1;
        continue;
      }
      try {
        const due = yield* this.firstOf(planner(house, rows, this.clock.now()), made);
        if (due && (made.next === null || due.at < made.next.at)) made.next = due;
        this.setbacks.clear(key);
      } catch (error) {
        if (isOfStorage(error)) throw error;
        failed += 1;
        this.setbacks.add(key, { houseId, kind: name }, error);
        made.again = earlier(made.again, this.setbacks.until(key));
      }
      yield;
    }
    if (failed === Object.keys(this.planners).length) this.rest(houseId, made, new Error('nothing in it can be worked out'));
    else this.setbacks.clear(houseKey(houseId));
  }

  private rest(houseId: string, made: Known, error: unknown): void {
    if (isOfStorage(error)) throw error;
    this.setbacks.add(houseKey(houseId), { houseId, kind: 'house' }, error);
    made.next = null;
    made.again = this.setbacks.until(houseKey(houseId));
  }

  /** The first that is not set aside. */
  private *firstOf(dues: Iterable<Due | null>, made: Known): Generator<void, Due | null> {
    for (const due of dues) {
      if (due === null) {
        yield;
        continue;
      }
      const aside = this.setbacks.until(dueKey(due.id));
      if (aside === null) return due;
      made.again = earlier(made.again, aside);
    }
    return null;
  }

  private housesOf(accountId: string): string[] {
    const found = this.raw.prepare('SELECT "houseId" FROM person WHERE "accountId" = ? AND "endedAt" IS NULL').all(accountId);
    return (found as { houseId: string }[]).map(({ houseId }) => houseId);
  }
}

/** So long before something is due its house is looked into, where nobody has been in it since the start. */
const AHEAD_MS = 10 * 60_000;

/** What the planners read all of. */
const PLANNED: readonly Noun[] = ['person', 'series', 'alarm', 'visit', 'noticeChoices', 'timeAway'];

const earlier = (a: string | null, b: string | null): string | null => (a === null || (b !== null && b < a) ? b : a);

function earliestOf(due: ReadonlyMap<string, Due>): Due | null {
  let earliest: Due | null = null;
  for (const one of due.values()) if (earliest === null || one.at < earliest.at) earliest = one;
  return earliest;
}
