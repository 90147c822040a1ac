import { v5 } from 'uuid';
import type { Colour } from './person-schema.ts';

export type { Accent, Preferences } from './preferences-schema.ts';

/** Colours that lead on in place of the usual: of those of people the ones far from what late, waiting and planned are drawn in. */
export const ACCENTS = ['petrol', 'indigo', 'plum', 'moss', 'slate', 'aubergine'] as const satisfies readonly Colour[];

/** One for each person, whichever device makes it. */
export const preferencesId = (personId: string): string => v5('preferences', personId);
