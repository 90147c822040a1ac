import { v5 } from 'uuid';

export type { ListIcon, ListKind, Access, Bundle, List, Section, Share, Stage } from './list-schema.ts';

export const LIST_ICONS = [
  'list',
  'anchor',
  'sailboat',
  'utensils',
  'basket',
  'bed',
  'wrench',
  'leaf',
  'flame',
  'book',
  'package',
  'key',
  'car',
  'house',
  'heart',
  'paw',
] as const;

/** What somebody may do in a list is kept in one row for each of them. */
export const shareId = (listId: string, personId: string): string => v5(`share:${personId}`, listId);
