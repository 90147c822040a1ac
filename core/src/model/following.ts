import type { Topic } from './notice-choices-schema.ts';
import { v5 } from 'uuid';

export type { Watch, ListWatch } from './following-schema.ts';

/** What can be heard of an item by following it. */
export const ITEM_TOPICS = ['done', 'answers', 'changes', 'said'] as const satisfies readonly Topic[];
/** And of everything in a list. */
export const LIST_TOPICS = ['new', ...ITEM_TOPICS] as const satisfies readonly Topic[];

export const watchId = (itemId: string, personId: string): string => v5(`watch:${personId}`, itemId);

export const listWatchId = (listId: string, personId: string): string => v5(`list-watch:${personId}`, listId);

/** What a giver hears of without following: when it is done, and what is said. Questions and refusals reach them in any case. */
export const GIVER_TOPICS: readonly Topic[] = ['done', 'answers', 'said'];
