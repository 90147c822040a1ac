export type { Turn, Item } from './item-schema.ts';
