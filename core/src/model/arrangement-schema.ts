import * as z from 'zod/mini';
import { BOARD_BYS, COLUMN_WIDTH, COLUMNS, DETAILS, LAYOUTS, SORTINGS } from './arrangement.ts';
import { MOST_FIELDS } from './own-field.ts';
import { FieldKey } from './own-field-schema.ts';
import { Id, shared } from './row-schema.ts';

/** How rows are put together: `usual` is what the view is about, a day's parts or a list's sections. */
const GROUPINGS = ['usual', 'date', 'list', 'person', 'tag', 'stage', 'none'] as const;
export const Grouping = z.union([z.enum(GROUPINGS), FieldKey]);
export type Grouping = z.infer<typeof Grouping>;
export const Sorting = z.union([z.enum(SORTINGS), FieldKey]);
export type Sorting = z.infer<typeof Sorting>;
export const Detail = z.enum(DETAILS);
export type Detail = z.infer<typeof Detail>;

export const Layout = z.enum(LAYOUTS);
export type Layout = z.infer<typeof Layout>;
export const BoardBy = z.union([z.enum(BOARD_BYS), FieldKey]);
export type BoardBy = z.infer<typeof BoardBy>;

/** Pixels. */
export const ColumnWidth = z.int().check(z.gte(COLUMN_WIDTH.least), z.lte(COLUMN_WIDTH.most));
export const Column = z.union([z.enum(COLUMNS), FieldKey]);
export type Column = z.infer<typeof Column>;
export const TableColumn = z.object({ column: Column, width: ColumnWidth });
export type TableColumn = z.infer<typeof TableColumn>;
/** In the order shown, each once. */
export const TableColumns = z.array(TableColumn).check(
  z.maxLength(COLUMNS.length + 2 * MOST_FIELDS),
  z.refine((columns) => new Set(columns.map(({ column }) => column)).size === columns.length),
);

/** How many things a day may hold before the rest waits folded. */
export const Cap = z.int().check(z.gte(1), z.lte(50));

/** How many things may be kept on top. */
export const PinLimit = z.int().check(z.gte(1), z.lte(20));

/** A name for what is being looked at: `today`, `whole`, or the id of a list. */
export const ViewName = z.string().check(z.regex(/^(today|whole|[0-9a-f-]{36})$/));

/** How one person has one view arranged. Seen by nobody else. */
export const Arrangement = z.object({
  ...shared,
  personId: Id,
  view: ViewName,
  group: Grouping,
  sort: Sorting,
  /** The other way round; what has none of it stays last. */
  isDescending: z.boolean(),
  detail: Detail,
  cap: z.nullable(Cap),
  /** A kept view that stands on this person's day as a part of its own. */
  isOnToday: z.boolean(),
  /** A view this person wants folded away among their lists. */
  isHidden: z.boolean(),
  /** Of `today`: so many things they may keep on top. */
  pinLimit: PinLimit,
  /** On a wide screen, and on a phone. */
  layout: Layout,
  phoneLayout: Layout,
  boardBy: BoardBy,
  /** Null: the usual ones. */
  columns: z.nullable(TableColumns),
  titleWidth: ColumnWidth,
});
export type Arrangement = z.infer<typeof Arrangement>;
