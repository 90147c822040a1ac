import * as z from 'zod/mini';
import { DATE_FIELDS, HAVINGS, MOST_CONDITIONS, MOST_NAMED, MOST_SPAN_DAYS } from './filter.ts';
import { FIELD_NUMBER_MAX } from './own-field.ts';
import { Importance, PartOfDay } from './nature-schema.ts';
import { CalendarDate, Id } from './row-schema.ts';

const ids = z.array(Id).check(z.minLength(1), z.maxLength(MOST_NAMED));
/** Whoever looks, nobody, or somebody by id. */
const Who = z.union([z.literal('me'), z.literal('nobody'), Id]);
const FieldNumber = z.number().check(z.gte(-FIELD_NUMBER_MAX), z.lte(FIELD_NUMBER_MAX));
const days = z.int().check(z.gte(0), z.lte(MOST_SPAN_DAYS));

/** Calendar days of the house: none at all, moving with today, or fixed. */
export const Span = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  /** Some day, whichever. */
  z.object({ kind: z.literal('any') }),
  /** Before today. */
  z.object({ kind: z.literal('past') }),
  /** From today on, so many days after it included. */
  z.object({ kind: z.literal('next'), days }),
  /** Up to today, so many days before it included. */
  z.object({ kind: z.literal('last'), days }),
  /** A week from Monday: this one is 0, the one before -1. */
  z.object({ kind: z.literal('week'), weeks: z.int().check(z.gte(-520), z.lte(520)) }),
  z.object({ kind: z.literal('between'), from: CalendarDate, to: CalendarDate }),
]);
export type Span = z.infer<typeof Span>;

const not = z._default(z.boolean(), false);

/** What is asked of what an item says in a field: see `FIELD_ASKS`. */
export const FieldAsk = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('any') }),
  z.object({ kind: z.literal('words'), words: z.string().check(z.trim(), z.minLength(1), z.maxLength(200)) }),
  z.object({ kind: z.literal('number'), least: z.nullable(FieldNumber), most: z.nullable(FieldNumber) }),
  z.object({ kind: z.literal('among'), ids }),
  z.object({ kind: z.literal('span'), span: Span }),
]);
export type FieldAsk = z.infer<typeof FieldAsk>;

/** One thing that is asked of an item. Of several ids any one will do. `not`: turned round. */
export const FilterCondition = z.discriminatedUnion('of', [
  z.object({ of: z.literal('list'), ids, not }),
  z.object({ of: z.literal('bundle'), ids, not }),
  /** What belongs to it, itself or by its list. */
  z.object({ of: z.literal('project'), ids, not }),
  z.object({ of: z.literal('section'), ids, not }),
  /** With all tags below them. */
  z.object({ of: z.literal('tag'), ids, not }),
  /** Who has it, or had it where it is done. */
  z.object({ of: z.literal('person'), who: z.array(Who).check(z.minLength(1), z.maxLength(MOST_NAMED)), not }),
  z.object({ of: z.literal('giver'), who: z.array(Who).check(z.minLength(1), z.maxLength(MOST_NAMED)), not }),
  z.object({ of: z.literal('place'), ids, not }),
  z.object({ of: z.literal('situation'), ids, not }),
  z.object({ of: z.literal('date'), field: z.enum(DATE_FIELDS), span: Span, not }),
  z.object({ of: z.literal('importance'), least: Importance, not }),
  /** Minutes: at most so many, which what nobody said does not meet. */
  z.object({ of: z.literal('effort'), most: z.nullable(z.int().check(z.gte(1), z.lte(60_000))), not }),
  z.object({ of: z.literal('energy'), levels: z.array(z.enum(['low', 'middle', 'high'])).check(z.minLength(1), z.maxLength(3)), not }),
  z.object({ of: z.literal('dayPart'), parts: z.array(PartOfDay).check(z.minLength(1), z.maxLength(3)), not }),
  z.object({ of: z.literal('has'), what: z.enum(HAVINGS), not }),
  z.object({ of: z.literal('field'), field: Id, asks: FieldAsk, not }),
  z.object({ of: z.literal('words'), words: z.string().check(z.trim(), z.minLength(1), z.maxLength(200)), not }),
]);
export type FilterCondition = z.infer<typeof FilterCondition>;

/** What is wanted of items: all of it, or any. Open ones, unless `done` is asked for too or alone. */
export const Filter = z.object({
  match: z.enum(['all', 'any']),
  state: z.enum(['open', 'done', 'both']),
  conditions: z.array(FilterCondition).check(z.maxLength(MOST_CONDITIONS)),
});
export type Filter = z.infer<typeof Filter>;
