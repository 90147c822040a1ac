export type { ReviewProgress } from './weekly-review-schema.ts';

/** What is gone through once a week, in this order; an item stands in the first that it meets. */
export const PILES = ['to-sort', 'late', 'needs-you', 'silent', 'waits', 'shelf', 'untouched'] as const;
export type Pile = (typeof PILES)[number];

/** After the piles comes the week ahead, and after that it is done. */
export const REVIEW_PARTS = PILES.length + 1;
