import * as z from 'zod/mini';
import { civilFromDays, daysOf } from '../time/epoch.ts';
import { FIRST_CHORE_YEAR, FIRST_YEAR, LAST_YEAR, NAME_MAX, TEXT_MAX, TITLE_MAX, type YearsRefused } from './row.ts';

/** A UUID of any version. Commands carry version 7, everything decided from them version 5 (RFC 9562). */
export const Id = z.uuid();

/** Refused with a sentence of its own: which years there are. */
const years = (first: number, last: number) =>
  z.refine<string>((text) => Number(text.slice(0, 4)) >= first && Number(text.slice(0, 4)) <= last, {
    params: { reason: 'year-out-of-range', first, last } satisfies YearsRefused,
  });

const DATE = '\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])';
const HOUR = '([01]\\d|2[0-3]):[0-5]\\d';
/** The shape alone lets 31 February pass. */
const exists = z.refine<string>((text) => civilFromDays(daysOf(text)) === text.slice(0, 10));
const shaped = (source: string, first = FIRST_YEAR) => z.string().check(z.regex(new RegExp(`^${source}$`)), years(first, LAST_YEAR), exists);

/** A moment on the time line: UTC, milliseconds, `2026-11-24T10:42:00.000Z`. Fixed width, so text order is time order. */
export const Instant = shaped(`${DATE}T${HOUR}:[0-5]\\d\\.\\d{3}Z`);
/** A calendar date, or a wall-clock time of the house's zone: `2026-11-27` or `2026-11-27T17:00`. */
export const Moment = shaped(`${DATE}(T${HOUR})?`);
/** A wall-clock time on a day: `2026-11-27T17:00`. */
export const DayAndHour = shaped(`${DATE}T${HOUR}`);
/** The first day of a chore: as a moment, but it may lie further back. */
export const ChoreStart = shaped(`${DATE}(T${HOUR})?`, FIRST_CHORE_YEAR);
/** A calendar date, `2026-11-27`. */
export const CalendarDate = shaped(DATE);
/** A wall-clock time, `06:30`. */
export const WallTime = z.string().check(z.regex(/^([01]\d|2[0-3]):[0-5]\d$/));

/** What a person types as a name or title: trimmed, one line, not empty. */
export const oneLine = (max: number) => z.string().check(z.trim(), z.minLength(1), z.maxLength(max));
export const Title = oneLine(TITLE_MAX);
export const Name = oneLine(NAME_MAX);
export const Text = z.string().check(z.maxLength(TEXT_MAX));
export const Words = z.string().check(z.trim(), z.minLength(1), z.maxLength(TEXT_MAX));

/** Who wrote a field last: command, sequence number, person. What undo and "changed since you saw it" are judged by. */
export const Stamp = z.object({ c: z.string(), s: z.number(), p: z.nullable(z.string()) });
export type Stamp = z.infer<typeof Stamp>;

/** What every shared row carries beside its own fields. `stamps['']` is the making of the row; a field changed since has its own. */
export const shared = {
  id: Id,
  houseId: Id,
  seq: z.number(),
  stamps: z.record(z.string(), Stamp),
};
