import * as z from 'zod/mini';
import { Topic } from './notice-choices-schema.ts';
import { Id, shared } from './row-schema.ts';

/** Who is told of what happens to an item. Of a giver without one, the usual holds. */
export const Watch = z.object({
  ...shared,
  itemId: Id,
  personId: Id,
  on: z.boolean(),
  /** Of an item for each: told of every part, not only of the last. */
  each: z.boolean(),
  topics: z.array(Topic),
  /** Who made them follow; null: they chose it. */
  byId: z.nullable(Id),
});
export type Watch = z.infer<typeof Watch>;

/** The same of a list, for as long as they can open it. */
export const ListWatch = z.object({ ...shared, listId: Id, personId: Id, on: z.boolean(), topics: z.array(Topic), byId: z.nullable(Id) });
export type ListWatch = z.infer<typeof ListWatch>;
