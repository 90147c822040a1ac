import type { Arrangement } from './arrangement-schema.ts';
import { v5 } from 'uuid';

export type { Grouping, Sorting, Detail, Arrangement } from './arrangement-schema.ts';

/** What comes first: `usual` is the order of the day, or of the list. */
export const SORTINGS = ['usual', 'due', 'plan', 'title', 'tag', 'importance'] as const;

/** How much a row says: the title alone; with its line; with its steps below it. */
export const DETAILS = ['bare', 'short', 'full'] as const;

export const USUAL_ARRANGEMENT = { group: 'usual', sort: 'usual', detail: 'short', cap: null, isOnToday: false } as const satisfies Partial<Arrangement>;

/** One for each person and view, whoever makes it: the id follows from the pair. */
export const arrangementId = (view: string, personId: string): string => v5(`arrangement:${view}`, personId);
