import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { Topic } from './notice-choices.ts';
import { Id, shared } from './row.ts';

/** What can be heard of an item by following it. */
export const ITEM_TOPICS = ['done', 'answers', 'changes', 'said'] as const satisfies readonly Topic[];
/** And of everything in a list. */
export const LIST_TOPICS = ['new', ...ITEM_TOPICS] as const satisfies readonly Topic[];

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

export const watchId = (itemId: string, personId: string): string => v5(`watch:${personId}`, itemId);

/** The same of a list, for as long as they can open it. */
export const ListWatch = z.object({ ...shared, listId: Id, personId: Id, on: z.boolean(), topics: z.array(Topic), byId: z.nullable(Id) });
export type ListWatch = z.infer<typeof ListWatch>;

export const listWatchId = (listId: string, personId: string): string => v5(`list-watch:${personId}`, listId);

/** What a giver hears of without following: when it is done, and what is said. Questions and refusals reach them in any case. */
export const GIVER_TOPICS: readonly Topic[] = ['done', 'answers', 'said'];
