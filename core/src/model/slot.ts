export type { Slot } from './slot-schema.ts';

export const MOST_IN_SLOT = 50;
