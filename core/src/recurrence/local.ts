import { epochOf, instantOf } from '../time/clock.ts';
import { civilFromDays, daysFromCivil } from '../time/epoch.ts';
import { zoneMinutes } from '../time/zone-minutes.ts';

/** Wall-clock time as an integer: seconds since the beginning of 1 January 1970 on that wall. */
export type LocalSeconds = number;

export const DAY_SECONDS = 86_400;

export interface ParsedLocal {
  at: LocalSeconds;
  /** A calendar date without an hour. */
  isDate: boolean;
  /** Ends in Z: an instant, not a time on a wall. */
  isInstant: boolean;
}

const SHAPE = /^(\d{4})-?(\d\d)-?(\d\d)(?:T(\d\d):?(\d\d)(?::?(\d\d)(?:\.0+)?)?(Z)?)?$/i;

/** The same few are read again and again: a first day, the ends of a month. Those read last are remembered. */
const parsed = new Map<string, ParsedLocal>();
const MOST_PARSED = 5000;

/** Reads iCalendar basic (`20261204T160000`) and ISO 8601 extended forms; null for what is no date or time. */
export function parseLocal(text: string): ParsedLocal | null {
  const known = parsed.get(text);
  if (known !== undefined) return known;
  const read = readLocal(text);
  if (read === null) return null;
  if (parsed.size >= MOST_PARSED) parsed.clear();
  parsed.set(text, read);
  return read;
}

function readLocal(text: string): ParsedLocal | null {
  const found = SHAPE.exec(text.trim());
  if (!found) return null;
  const [year, month, day, hour, minute, second] = found.slice(1, 7).map((part) => Number(part ?? 0)) as [number, number, number, number, number, number];
  const days = daysFromCivil(year, month, day);
  if (hour > 23 || minute > 59 || second > 60 || civilFromDays(days) !== `${found[1]}-${found[2]}-${found[3]}`) return null;
  return {
    at: days * DAY_SECONDS + hour * 3600 + minute * 60 + Math.min(second, 59),
    isDate: found[4] === undefined,
    isInstant: found[7] !== undefined,
  };
}

/** Dates are written again and again: those of the years in use are remembered. */
const dates = new Map<number, string>();
const MOST_DATES = 20_000;

function dateOfDay(days: number): string {
  const known = dates.get(days);
  if (known !== undefined) return known;
  if (dates.size >= MOST_DATES) dates.clear();
  const made = civilFromDays(days);
  dates.set(days, made);
  return made;
}

const TWO = Array.from({ length: 60 }, (_, value) => String(value).padStart(2, '0'));
/** Of every minute of a day. */
const CLOCK = Array.from({ length: 1440 }, (_, minute) => `T${TWO[Math.floor(minute / 60)]}:${TWO[minute % 60]}`);

/** `2026-12-04T16:00`, with seconds only where there are any. */
export function formatLocal(at: LocalSeconds): string {
  const days = Math.floor(at / DAY_SECONDS);
  const rest = at - days * DAY_SECONDS;
  const minute = Math.floor(rest / 60);
  const seconds = rest - minute * 60;
  const time = dateOfDay(days) + CLOCK[minute]!;
  return seconds === 0 ? time : `${time}:${TWO[seconds]}`;
}

export const formatDate = (at: LocalSeconds): string => dateOfDay(Math.floor(at / DAY_SECONDS));

/** The same time, or the one it moves forward to where the clocks skip it (Temporal "compatible"). */
export const existing = (at: LocalSeconds, zone: string | null): LocalSeconds => existingIn(zone)(at);

/** The same for one zone. */
export function existingIn(zone: string | null): (at: LocalSeconds) => LocalSeconds {
  if (zone === null) return (at) => at;
  const minutes = zoneMinutes(zone);
  return (at) => {
    const minute = Math.floor(at / 60);
    return minutes.existing(minute) * 60 + (at - minute * 60);
  };
}

/** What a clock in the zone shows at an instant; without a zone, the time in UTC. */
export function localOf(instant: LocalSeconds, zone: string | null): LocalSeconds {
  if (zone === null) return instant;
  const wall = zoneMinutes(zone).wall(Math.floor(instant / 60));
  return epochOf(`${wall}:00.000Z`) / 1000 + (((instant % 60) + 60) % 60);
}

/** Seconds since the epoch of a wall-clock time, of two the first. */
export function instantSeconds(at: LocalSeconds, zone: string | null): number {
  if (zone === null) return at;
  const minute = Math.floor(at / 60);
  return zoneMinutes(zone).at(instantOf(minute * 60_000).slice(0, 16)) * 60 + (at - minute * 60);
}
