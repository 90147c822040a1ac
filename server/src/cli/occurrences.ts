import { occurrences, type Recurrence } from '@kotiva/core/recurrence/occurrences';
import { BadRule } from '@kotiva/core/recurrence/rrule';
import { isZone } from '@kotiva/core/time/clock';
import * as z from 'zod';

/** What is asked on a line of the batch: RFC 5545 names, in iCalendar basic or ISO 8601 forms. */
const Times = z.union([z.string(), z.array(z.string())]).transform((said) => (typeof said === 'string' ? said.split(',') : said));
export const Question = z.object({
  id: z.union([z.string(), z.number()]),
  rrule: z.string().max(2000),
  dtstart: z.string().max(40),
  tzid: z.string().max(80).nullish(),
  exdate: Times.nullish(),
  rdate: Times.nullish(),
  before: z.string().max(40).nullish(),
  limit: z.number().int().min(0).max(1_000_000).default(50),
});
export type Question = z.infer<typeof Question>;

/** The sentence a caller is told; everything else is a fault of the program and goes on. */
export class Unanswerable extends Error {}

/** Local ISO 8601 date-times with seconds, or dates where DTSTART is one, ascending. Throws {@link Unanswerable} with one line that says what is wrong. */
export function answer({ rrule, dtstart, tzid, exdate, rdate, before, limit }: Omit<Question, 'id'>): string[] {
  const zone = tzid ?? null;
  if (zone !== null && !isZone(zone)) throw new Unanswerable(`There is no time zone “${zone}”; it is an IANA name like Europe/Helsinki.`);
  const series: Recurrence = { rrule, dtstart, zone, exdates: exdate ?? [], rdates: rdate ?? [] };
  try {
    return [...occurrences(series, { before, limit })].map(({ at }) => withSeconds(at));
  } catch (error) {
    if (error instanceof BadRule) throw new Unanswerable(error.message);
    throw error;
  }
}

/** A date stays a date: what has no hour does not come at midnight (RFC 5545 3.3.4 and 3.3.5). */
const withSeconds = (at: string): string => (at.length === '2026-12-04T16:00'.length ? `${at}:00` : at);

/** One line of the batch as its answer. */
export function answerLine(line: string): { id: string | number | null; occurrences: string[] } | { id: string | number | null; error: string } {
  let id: string | number | null = null;
  try {
    const read: unknown = JSON.parse(line);
    if (typeof read === 'object' && read !== null && 'id' in read && (typeof read.id === 'string' || typeof read.id === 'number')) id = read.id;
    const asked = z.safeParse(Question, read);
    if (!asked.success) return { id, error: sentenceOf(asked.error) };
    return { id: asked.data.id, occurrences: answer(asked.data) };
  } catch (error) {
    if (error instanceof SyntaxError) return { id, error: 'This line is not JSON.' };
    if (error instanceof Unanswerable) return { id, error: error.message };
    throw error;
  }
}

function sentenceOf(error: z.ZodError): string {
  const { path, message } = error.issues[0]!;
  return `${path.map(String).join('.') || 'The line'}: ${message}`;
}
