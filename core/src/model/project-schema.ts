import * as z from 'zod/mini';
import { ListIcon, Purpose } from './list-schema.ts';
import { Colour } from './person-schema.ts';
import { CalendarDate, Id, Instant, Name, shared } from './row-schema.ts';

/** What several lists, items and talks are for together, and ends: a lasting area is a bundle or a list. */
export const Project = z.object({
  ...shared,
  makerId: Id,
  name: Name,
  /** What it is for, in a line. */
  purpose: Purpose,
  colour: Colour,
  icon: ListIcon,
  /** Who answers for it; null: nobody was named. */
  answerableId: z.nullable(Id),
  begins: z.nullable(CalendarDate),
  /** Null: it goes on. */
  ends: z.nullable(CalendarDate),
  /** What it is a part of. */
  parentId: z.nullable(Id),
  position: z.string(),
  createdAt: Instant,
  finishedAt: z.nullable(Instant),
  removedAt: z.nullable(Instant),
});
export type Project = z.infer<typeof Project>;

/** A list, an item or a talk's note belongs to a project (RFC 9253 RELTYPE=PARENT over kinds): exactly one of the three is named. */
export const Membership = z.object({
  ...shared,
  projectId: Id,
  listId: z.nullable(Id),
  itemId: z.nullable(Id),
  noteId: z.nullable(Id),
  byId: Id,
  endedAt: z.nullable(Instant),
});
export type Membership = z.infer<typeof Membership>;
