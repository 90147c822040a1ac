export type { Stretch } from './stretch-schema.ts';

/** How long one may be, in minutes, and how long it usually is. */
export const STRETCH_MINUTES = { least: 5, most: 240, usual: 25 };
