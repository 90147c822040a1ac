import * as z from 'zod/mini';
import { CalendarDate } from './row-schema.ts';
import { PILES, REVIEW_PARTS } from './weekly-review.ts';

/** How far somebody has come in one week, and how much there was when they began. */
export const ReviewProgress = z.object({
  /** The week's first day. */
  week: CalendarDate,
  /** The part one is at; as many as there are parts: all have been seen. */
  at: z.int().check(z.gte(0), z.lte(REVIEW_PARTS)),
  /** By pile, how many things. Empty: one has just begun. */
  before: z.partialRecord(z.enum(PILES), z.int().check(z.gte(0), z.lte(1_000_000))),
});
export type ReviewProgress = z.infer<typeof ReviewProgress>;
