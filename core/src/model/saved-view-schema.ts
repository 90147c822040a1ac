import * as z from 'zod/mini';
import { BoardBy, Grouping, Layout, Sorting } from './arrangement-schema.ts';
import { Filter } from './filter-schema.ts';
import { Id, Instant, Name, shared } from './row-schema.ts';

/** A filter kept under a name: one person's, or the house's. Evaluated for whoever looks. */
export const SavedView = z.object({
  ...shared,
  ownerId: Id,
  name: Name,
  filter: Filter,
  /** Everybody of the house has it among their lists. */
  isShared: z.boolean(),
  /** How it is arranged for who has not arranged it otherwise. */
  group: Grouping,
  sort: Sorting,
  layout: Layout,
  boardBy: BoardBy,
  position: z.string(),
  removedAt: z.nullable(Instant),
});
export type SavedView = z.infer<typeof SavedView>;
