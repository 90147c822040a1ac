export type { Means, RoundStop, ErrandRound } from './errand-round-schema.ts';

/** How one gets about. */
export const MEANS = ['walk', 'bike', 'car'] as const;

export const MOST_STOPS = 30;
