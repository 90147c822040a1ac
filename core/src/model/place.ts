import type { Place } from './place-schema.ts';

export type { Coordinates, Place } from './place-schema.ts';

/** Metres around a place within which one is there. */
export const RADIUS = { least: 50, usual: 100, most: 5_000 } as const;

export const seesPlace = ({ seenBy }: Pick<Place, 'seenBy'>, personId: string): boolean => seenBy === null || seenBy.includes(personId);
