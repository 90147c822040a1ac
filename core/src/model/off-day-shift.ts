/** What happens to an occurrence on a weekend, a holiday or an own day off: it stays, moves before it, or after it. */
export const OFF_DAY_SHIFTS = ['keep', 'before', 'after'] as const;
export type OffDayShift = (typeof OFF_DAY_SHIFTS)[number];
