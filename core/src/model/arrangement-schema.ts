import * as z from 'zod/mini';
import { DETAILS, SORTINGS } from './arrangement.ts';
import { Id, shared } from './row-schema.ts';

/** How rows are put together: `usual` is what the view is about, a day's parts or a list's sections. */
const GROUPINGS = ['usual', 'date', 'list', 'person', 'tag', 'none'] as const;
export const Grouping = z.enum(GROUPINGS);
export type Grouping = z.infer<typeof Grouping>;
export const Sorting = z.enum(SORTINGS);
export type Sorting = z.infer<typeof Sorting>;
export const Detail = z.enum(DETAILS);
export type Detail = z.infer<typeof Detail>;

/** How many things a day may hold before the rest waits folded. */
export const Cap = z.int().check(z.gte(1), z.lte(50));

/** A name for what is being looked at: `today`, `whole`, or the id of a list. */
export const ViewName = z.string().check(z.regex(/^(today|whole|[0-9a-f-]{36})$/));

/** How one person has one view arranged. Seen by nobody else. */
export const Arrangement = z.object({
  ...shared,
  personId: Id,
  view: ViewName,
  group: Grouping,
  sort: Sorting,
  detail: Detail,
  cap: z.nullable(Cap),
  /** A kept view that stands on this person's day as a part of its own. */
  isOnToday: z.boolean(),
});
export type Arrangement = z.infer<typeof Arrangement>;
