import { v5 } from 'uuid';

export type { Preferences } from './preferences-schema.ts';

/** One for each person, whichever device makes it. */
export const preferencesId = (personId: string): string => v5('preferences', personId);
