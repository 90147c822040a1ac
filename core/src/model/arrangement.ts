import type { Arrangement, TableColumn } from './arrangement-schema.ts';
import { v5 } from 'uuid';
import { USUAL_PIN_LIMIT } from './pin.ts';

export type { Grouping, Sorting, Detail, Layout, BoardBy, Column, TableColumn, Arrangement } from './arrangement-schema.ts';

/** What comes first: `usual` is the order of the day, or of the list. */
export const SORTINGS = ['usual', 'due', 'plan', 'title', 'tag', 'importance', 'person', 'list', 'start', 'minutes', 'made'] as const;

/** How much a row says: the title alone; with its line; with its steps below it. */
export const DETAILS = ['bare', 'short', 'full'] as const;

/** The same items, laid out in different ways. */
export const LAYOUTS = ['rows', 'tiles', 'table', 'board', 'calendar', 'priorities'] as const;

/** What the columns of a board are. */
export const BOARD_BYS = ['person', 'list', 'section', 'importance', 'stage'] as const;

/** What a table can say of an item besides its title, which always comes first. */
export const COLUMNS = ['person', 'due', 'plan', 'list', 'tag', 'importance', 'minutes', 'start', 'steps', 'made', 'done'] as const;

/** Pixels. */
export const COLUMN_WIDTH = { least: 60, most: 900, usual: 150, title: 320 };

export const USUAL_COLUMNS: readonly TableColumn[] = (['person', 'due', 'list', 'tag'] as const).map((column) => ({ column, width: COLUMN_WIDTH.usual }));

export const USUAL_ARRANGEMENT = {
  group: 'usual',
  sort: 'usual',
  isDescending: false,
  detail: 'short',
  cap: null,
  isOnToday: false,
  isHidden: false,
  pinLimit: USUAL_PIN_LIMIT,
  layout: 'rows',
  phoneLayout: 'rows',
  boardBy: 'person',
  columns: null,
  titleWidth: COLUMN_WIDTH.title,
} as const satisfies Partial<Arrangement>;

/** One for each person and view, whoever makes it: the id follows from the pair. */
export const arrangementId = (view: string, personId: string): string => v5(`arrangement:${view}`, personId);
