import type { Part } from './part-schema.ts';

export type { Standing, Part } from './part-schema.ts';

/** What nobody but the part's person sees: emptied for every other reader. A plan somebody gave is theirs too. */
export const PRIVATE_PART_FIELDS = ['plan', 'shelvedAt', 'pulledInto', 'takenOff', 'askAgain', 'ownOrder'] as const satisfies readonly (keyof Part)[];

/** Somebody still has it in hand: not excused, taken back or passed on, and not checked off. */
export const isInHand = ({ excusedAt, takenBackAt, passedTo, standing }: Part): boolean =>
  excusedAt === null && takenBackAt === null && passedTo === null && standing !== 'completed';
