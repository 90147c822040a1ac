import type { Part } from './part-schema.ts';

export type { Standing, Part } from './part-schema.ts';

/** What nobody but the part's person sees: emptied for every other reader. A plan somebody gave is theirs too. */
export const PRIVATE_PART_FIELDS = ['plan', 'shelvedAt', 'pulledInto', 'takenOff', 'askAgain', 'ownOrder'] as const satisfies readonly (keyof Part)[];
