import * as z from 'zod/mini';
import { nature } from './nature-schema.ts';
import { Id, Instant, Moment, Title, shared } from './row-schema.ts';

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
  /** The deadline: RFC 5545 DUE. Without an hour it passes when the next day begins. */
  due: z.nullable(Moment),
  /** Not before: until then the item is in no doing view. */
  start: z.nullable(Moment),
  ...nature,
  /** The chore it is an occurrence of, and which: the rule's own local time for it. */
  seriesId: z.nullable(Id),
  recurrenceId: z.nullable(Moment),
  turn: z.nullable(Turn),
  /** A later one came before it was done. */
  missedAt: z.nullable(Instant),
  /** Fractional key among its siblings; ties break by id. */
  position: z.string(),
  /** Of its list's stages, the last open one it was put in; null: the first. That it is done follows from its parts. */
  stageId: z.nullable(Id),
  /** The note of the talk it came of. */
  noteId: z.nullable(Id),
  createdAt: Instant,
  removedAt: z.nullable(Instant),
  /** Gone for good: nobody sees it any more. */
  purgedAt: z.nullable(Instant),
});
export type Item = z.infer<typeof Item>;
