import * as z from 'zod/mini';
import { Pace } from './house.ts';
import { Id, Instant, Moment, shared, Text, Title } from './row.ts';

/** `any`: the first to check off completes it. `each`: everyone checks off their own part. */
export const Policy = z.enum(['any', 'each']);
export type Policy = z.infer<typeof Policy>;

export const Energy = z.enum(['low', 'middle', 'high']);
export type Energy = z.infer<typeof Energy>;

/** Minutes; of an `each` item per person. */
export const Effort = z.int().check(z.gte(1), z.lte(60_000));
export const Importance = z.int().check(z.gte(0), z.lte(3));

/** How somebody came to have an occurrence of a chore. */
export const Turn = z.object({
  kind: z.enum(['fixed', 'turns', 'fair', 'given', 'nobody']),
  /** The queue before it. */
  queue: z.array(Id),
  /** Whose place in the queue it takes; null: that of who has it. */
  countsFor: z.nullable(Id),
  /** Of `fair`: the minutes they had carried in four weeks. */
  minutes: z.nullable(z.number()),
  /** Who would have been first, and is away. */
  skipped: z.array(Id),
});
export type Turn = z.infer<typeof Turn>;

/** One thing to do or get. Whether it is done is never stored: it follows from its parts. */
export const Item = z.object({
  ...shared,
  /** Null: it lies in its maker's own pile. */
  listId: z.nullable(Id),
  sectionId: z.nullable(Id),
  /** A step's item. */
  parentId: z.nullable(Id),
  makerId: Id,
  title: Title,
  notes: Text,
  /** The deadline: RFC 5545 DUE. Without an hour it passes when the next day begins. */
  due: z.nullable(Moment),
  /** Not before: until then the item is in no doing view. */
  start: z.nullable(Moment),
  importance: Importance,
  effort: z.nullable(Effort),
  energy: z.nullable(Energy),
  tagIds: z.array(Id),
  /** All of them have to be so. */
  situationIds: z.array(Id),
  placeId: z.nullable(Id),
  /** The chore it is an occurrence of, and which: the rule's own local time for it. */
  seriesId: z.nullable(Id),
  recurrenceId: z.nullable(Moment),
  turn: z.nullable(Turn),
  /** A later one came before it was done. */
  missedAt: z.nullable(Instant),
  /** Fractional key among its siblings; ties break by id. */
  position: z.string(),
  policy: Policy,
  /** Completed parts wait for the giver, who ties them off or sends them back. */
  confirm: z.boolean(),
  /** How often people are nudged about it; null: as the house does. */
  pace: z.nullable(Pace),
  /** The note of the talk it came of. */
  noteId: z.nullable(Id),
  createdAt: Instant,
  removedAt: z.nullable(Instant),
  /** Gone for good: nobody sees it any more. */
  purgedAt: z.nullable(Instant),
});
export type Item = z.infer<typeof Item>;
