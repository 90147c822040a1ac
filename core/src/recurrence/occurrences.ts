import { type OffDayShift } from '../model/off-day-shift.ts';
import { DAY_SECONDS, existingIn, formatDate, formatLocal, instantSeconds, localOf, parseLocal, type LocalSeconds, type ParsedLocal } from './local.ts';
import { isWeekend, LONGEST_OFF, workdayFor } from './off-days.ts';
import { BadRule, isOfClock, parseRRule, type RRule } from './rrule.ts';
import { Steps } from './steps.ts';
import { walk, type Next } from './walk.ts';

/** What comes back: a recurrence set of RFC 5545 3.8.5, in wall-clock time of a zone. */
export interface Recurrence {
  rrule: string | null;
  /** A calendar date, or a wall-clock time: `2026-12-04T16:00`. It counts only if the rule hits it. */
  dtstart: string;
  /** IANA time zone; null: wherever the reader is. */
  zone: string | null;
  /** Left out: times of the rule, instants that end in Z, or whole days. */
  exdates?: readonly string[];
  /** Added to what the rule gives. */
  rdates?: readonly string[];
  /** Single ones moved, by the rule's time for them. */
  moved?: ReadonlyMap<string, string>;
  offDay?: OffDayShift;
  /** Holidays and own days off, as calendar dates. Weekends are known. */
  daysOff?: Pick<ReadonlySet<string>, 'has'>;
}

export interface Occurrence {
  /** The rule's own local time, before any move or shift: RFC 5545 RECURRENCE-ID. */
  recurrenceId: string;
  /** When it is: a date, or a local time that exists. */
  at: string;
}

export interface Window {
  /** Later than this; local. */
  after?: string | null;
  /** Earlier than this; local. */
  before?: string | null;
  limit?: number;
  /** So many steps of working it out are granted, else {@link TooCostly} is thrown. */
  maxSteps?: number;
}

/**
 * The occurrences of a series, in order, each once; lazy, and begun at the period `after` lies in. Dates for a series of whole days,
 * else local times to the minute (seconds only where there are any). A time the clocks skip moves forward, of two the first is meant.
 * Throws {@link BadRule}, and {@link TooCostly} where steps are limited. Source: RFC 5545 3.3.10 and 3.8.5.
 */
export function* occurrences(series: Recurrence, { after, before, limit, maxSteps }: Window = {}): Generator<Occurrence, void, undefined> {
  if (limit !== undefined && limit <= 0) return;
  const set = new RecurrenceSet(series, new Steps(maxSteps));
  const bounds = { after: set.bound(after) ?? Number.NEGATIVE_INFINITY, before: set.bound(before) ?? Number.POSITIVE_INFINITY };
  const next = set.within(bounds);
  for (let many = 0; many !== limit; many++) {
    const found = next();
    if (found === null) return;
    const at = set.said(found.at);
    yield { recurrenceId: found.id === found.at ? at : set.said(found.id), at };
  }
}

/** Integers while it is worked on: local seconds. */
interface Found {
  id: LocalSeconds;
  at: LocalSeconds;
}

interface Bounds {
  after: LocalSeconds;
  before: LocalSeconds;
}

/** The clocks of no zone jump further than a day. */
const JUMP = DAY_SECONDS;

class RecurrenceSet {
  private readonly rule: RRule | null;
  private readonly start: ParsedLocal;
  private readonly extra: Found[];
  private readonly isLeftOut: (at: LocalSeconds) => boolean;
  private readonly reach: number;
  private readonly existing: (at: LocalSeconds) => LocalSeconds;

  constructor(
    private readonly series: Recurrence,
    private readonly steps: Steps,
  ) {
    this.start = this.parse(series.dtstart, 'DTSTART');
    this.existing = existingIn(series.zone);
    this.rule = series.rrule === null ? null : ruleFor(series.rrule, this.start);
    const moved = [...(series.moved ?? [])].map(([id, at]) => ({ id: this.parse(id, 'RECURRENCE-ID').at, at: this.parse(at, 'RECURRENCE-ID').at }));
    const added = (series.rdates ?? []).map((rdate) => this.addedAt(rdate));
    const isLeftOut = this.leftOut(series.exdates ?? []);
    const away = new Set(moved.map(({ id }) => id));
    this.isLeftOut = (at) => away.has(at) || isLeftOut(at);
    this.extra = [...moved, ...added.filter((at) => !this.isLeftOut(at)).map((at) => ({ id: at, at: this.existing(at) }))].sort(byTime);
    this.reach = (series.offDay ?? 'keep') === 'keep' ? JUMP : JUMP + LONGEST_OFF * DAY_SECONDS;
  }

  /** Each time once, in order: the rule's, with those added and moved between them. */
  within({ after, before }: Bounds): Next<Found> {
    const ofRule = this.ofRule({ after, before });
    const next = this.extra.length === 0 ? ofRule : merged(ofRule, this.extra);
    let last = Number.NEGATIVE_INFINITY;
    return () => {
      for (;;) {
        const found = next();
        if (found === null || found.at >= before) return null;
        if (found.at <= last) continue;
        last = found.at;
        if (found.at > after) return found;
      }
    };
  }

  /** A bound of a window as local seconds. */
  bound(text: string | null | undefined): LocalSeconds | null {
    return text === null || text === undefined ? null : this.toLocal(this.parse(text, 'BOUND'));
  }

  said(at: LocalSeconds): string {
    return this.start.isDate ? formatDate(at) : formatLocal(at);
  }

  private ofRule({ after, before }: Bounds): Next<Found> {
    if (!this.rule) return () => null;
    const isPast = this.lastOf(this.rule);
    const begin = Number.isFinite(after) ? after - this.reach : this.start.at;
    const next = walk(this.rule, this.start.at, begin, before + this.reach, this.steps);
    const isPlain = this.reach === JUMP;
    // what the clocks skipped or a day off moved forward waits for its place among those after it
    const waiting: Found[] = [];
    /** Nothing comes any more that is earlier than this. */
    let known = Number.NEGATIVE_INFINITY;
    return () => {
      for (;;) {
        if (waiting.length > 0 && waiting[0]!.at <= known) return waiting.shift()!;
        if (known === Number.POSITIVE_INFINITY) return null;
        const id = next();
        if (id === null || isPast(id)) {
          known = Number.POSITIVE_INFINITY;
          continue;
        }
        if (this.isLeftOut(id)) continue;
        const at = this.shift(this.existing(id));
        if (isPlain && at === id && waiting.length === 0) return { id, at };
        insert(waiting, { id, at });
        known = isPlain ? id : id - this.reach;
      }
    };
  }

  private shift(at: LocalSeconds): LocalSeconds {
    const { offDay = 'keep', daysOff } = this.series;
    if (offDay === 'keep') return at;
    const day = Math.floor(at / DAY_SECONDS);
    const isOff = (one: number) => isWeekend(one) || (daysOff?.has(formatDate(one * DAY_SECONDS)) ?? false);
    return this.existing(at + (workdayFor(day, offDay, isOff) - day) * DAY_SECONDS);
  }

  /** Whether a time lies past the end the rule gives. A date as its end means that whole day. */
  private lastOf(rule: RRule): (at: LocalSeconds) => boolean {
    if (rule.until === null) return () => false;
    const until = this.parse(rule.until, 'UNTIL');
    if (until.isDate) return (at) => at >= until.at + DAY_SECONDS;
    if (!until.isInstant) return (at) => at > until.at;
    const near = localOf(until.at, this.series.zone);
    return (at) => at > near + JUMP || (at > near - JUMP && instantSeconds(at, this.series.zone) > until.at);
  }

  private leftOut(exdates: readonly string[]): (at: LocalSeconds) => boolean {
    if (exdates.length === 0) return () => false;
    const parsed = exdates.map((exdate) => this.parse(exdate, 'EXDATE'));
    const days = new Set(parsed.filter(({ isDate }) => isDate).map(({ at }) => at));
    const times = new Set(parsed.filter(({ isDate }) => !isDate).map((one) => this.toLocal(one)));
    return (at) => times.has(at) || days.has(at - (((at % DAY_SECONDS) + DAY_SECONDS) % DAY_SECONDS));
  }

  /** A day added to a series with an hour has that hour. */
  private addedAt(rdate: string): LocalSeconds {
    const added = this.parse(rdate, 'RDATE');
    if (!added.isDate || this.start.isDate) return this.toLocal(added);
    return added.at + (this.start.at - Math.floor(this.start.at / DAY_SECONDS) * DAY_SECONDS);
  }

  private toLocal({ at, isInstant }: ParsedLocal): LocalSeconds {
    return isInstant ? localOf(at, this.series.zone) : at;
  }

  private parse(text: string, part: string): ParsedLocal {
    const parsed = parseLocal(text);
    if (!parsed) throw new BadRule({ fault: 'bad-value', part: `${part}=${text.slice(0, 40)}` });
    return parsed;
  }
}

/** Of whole days, what a rule says of hours is ignored, as RFC 5545 asks; by the hour it can't come. */
function ruleFor(rrule: string, start: ParsedLocal): RRule {
  const rule = parseRRule(rrule);
  if (!start.isDate) return rule;
  if (isOfClock(rule.freq)) throw new BadRule({ fault: 'not-together', part: `FREQ=${rule.freq} and a first day without an hour` });
  return { ...rule, byHour: [], byMinute: [], bySecond: [] };
}

const byTime = (a: Found, b: Found): number => a.at - b.at || a.id - b.id;

function insert(waiting: Found[], found: Found): void {
  let nth = waiting.length;
  while (nth > 0 && byTime(waiting[nth - 1]!, found) > 0) nth--;
  waiting.splice(nth, 0, found);
}

function merged(rule: Next<Found>, extra: readonly Found[]): Next<Found> {
  let nth = 0;
  let ahead = rule();
  return () => {
    if (nth < extra.length && (ahead === null || byTime(extra[nth]!, ahead) < 0)) return extra[nth++]!;
    const found = ahead;
    ahead = found === null ? null : rule();
    return found;
  };
}

/** The rule never occurs, like 31 February of every year; in the window, if one is given. */
export const neverOccurs = (series: Recurrence, window: Window = {}): boolean => occurrences(series, { ...window, limit: 1 }).next().done === true;
