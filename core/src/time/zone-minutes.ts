import { Temporal } from 'temporal-polyfill';
import { civilFromDays, clockOf, daysOf, minutesOf } from './epoch.ts';

interface Day {
  /** Minutes since the epoch at which the day begins. */
  start: number;
  /** 1440, but for the days on which the clocks change. */
  length: number;
}

const DAY = 1440;
/** More days than a century has, so that hardly any is asked for twice. */
const MOST_DAYS = 40_000;
const MOST_JUMPED = 10_000;

/**
 * Wall-clock moments of one zone as minutes since the epoch, and back. Asks the calendar once a day and adds from there, so that
 * thousands of moments are compared in a few milliseconds; on a day when the clocks change it asks for each.
 */
export class ZoneMinutes {
  private readonly days = new Map<string, Day>();
  /** When days begin, by their number: the end of one is the beginning of the next. */
  private readonly starts = new Map<number, number>();
  /** Days since the epoch that are known to have no jump of the clocks. */
  private readonly even = new Set<number>();
  /** Minutes of the wall on the other days, and where they are. */
  private readonly jumped = new Map<number, number>();

  constructor(private readonly zone: string) {}

  at(moment: string): number {
    const day = this.day(moment.slice(0, 10));
    if (moment.length === 10) return day.start;
    if (day.length !== DAY) return this.ask(moment);
    return day.start + Number(moment.slice(11, 13)) * 60 + Number(moment.slice(14, 16));
  }

  /** When a deadline has passed: with an hour, at that hour; without, when the next day begins. */
  deadline(due: string): number {
    if (due.length > 10) return this.at(due);
    const { start, length } = this.day(due);
    return start + length;
  }

  /** The wall-clock moment of a minute: `2026-11-27T17:00`. */
  wall(minute: number): string {
    const date = this.date(minute);
    const { start, length } = this.day(date);
    if (length === DAY) return `${date}T${clockOf(minute - start)}`;
    const zoned = Temporal.Instant.fromEpochMilliseconds(minute * 60_000).toZonedDateTimeISO(this.zone);
    return zoned.toPlainDateTime().toString({ smallestUnit: 'minute' });
  }

  /** The date a minute lies in. */
  date(minute: number): string {
    const near = Math.floor(minute / DAY);
    // no zone is a whole day away from the world's
    for (const days of [near, near + 1]) {
      const date = civilFromDays(days);
      const { start, length } = this.day(date);
      if (minute < start) break;
      if (minute < start + length) return date;
    }
    return civilFromDays(near - 1);
  }

  /** The same minute of the wall, or the one a minute that does not exist moves forward to; counted from the beginning of the epoch's first day. */
  existing(wallMinute: number): number {
    const days = Math.floor(wallMinute / DAY);
    if (this.even.has(days)) return wallMinute;
    const known = this.jumped.get(wallMinute);
    if (known !== undefined) return known;
    const date = civilFromDays(days);
    if (this.day(date).length === DAY) {
      this.even.add(days);
      return wallMinute;
    }
    const wall = this.wall(this.ask(`${date}T${clockOf(wallMinute - days * DAY)}`));
    const found = minutesOf(`${wall}:00.000Z`);
    if (this.jumped.size >= MOST_JUMPED) this.jumped.clear();
    this.jumped.set(wallMinute, found);
    return found;
  }

  /** A moment as it stands, or as what it moves forward to where the clocks pass over it: 03:30 is 04:30 on the night of a jump. */
  real(moment: string): string {
    return moment.length === 10 || this.day(moment.slice(0, 10)).length === DAY ? moment : this.wall(this.at(moment));
  }

  private day(date: string): Day {
    const known = this.days.get(date);
    if (known) return known;
    const nth = daysOf(date);
    const start = this.start(nth);
    const made = { start, length: this.start(nth + 1) - start };
    if (this.days.size >= MOST_DAYS) this.days.clear();
    this.days.set(date, made);
    return made;
  }

  private start(nth: number): number {
    const known = this.starts.get(nth);
    if (known !== undefined) return known;
    const start = this.ask(civilFromDays(nth));
    if (this.starts.size >= MOST_DAYS) this.starts.clear();
    this.starts.set(nth, start);
    return start;
  }

  /** A time that does not exist moves forward, of two the first is taken (Temporal "compatible"). */
  private ask(moment: string): number {
    const { epochMilliseconds } = Temporal.PlainDateTime.from(moment).toZonedDateTime(this.zone, { disambiguation: 'compatible' });
    return Math.floor(epochMilliseconds / 60_000);
  }
}

const zones = new Map<string, ZoneMinutes>();

/** The minutes of a zone: what was asked of the calendar once is remembered. */
export function zoneMinutes(zone: string): ZoneMinutes {
  const known = zones.get(zone);
  if (known) return known;
  const made = new ZoneMinutes(zone);
  zones.set(zone, made);
  return made;
}

export { minutesOf };
