import * as z from 'zod/mini';
import { CalendarDate, Id, Instant, oneLine, shared } from './row-schema.ts';

/**
 * A mark on an item or a step: it can't go on until something has come, from somebody here or from outside, or until another item is done
 * (RFC 9253 DEPENDS-ON, finish to start). The item stays in its list and is seen as stuck.
 */
export const Wait = z.object({
  ...shared,
  itemId: Id,
  makerId: Id,
  /** Whom it is waited for; null: nobody of this house, or not said. */
  personId: z.nullable(Id),
  /** What has to be done first; null: it is no item of this house. It ends with that by itself, and opens again with it. */
  onItemId: z.nullable(Id),
  /** For what: "the van", "answer from the workshop"; of an item its title then. */
  words: oneLine(200),
  /** The day to ask again: the item comes up then. */
  askOn: z.nullable(CalendarDate),
  /** The day its maker was last told to ask. */
  toldOn: z.nullable(CalendarDate),
  since: Instant,
  endedAt: z.nullable(Instant),
  /** It ended because what it waited for was done, or is gone; by hand: false. */
  isFollowed: z.boolean(),
});
export type Wait = z.infer<typeof Wait>;
