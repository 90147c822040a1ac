import type { Nature } from './nature-schema.ts';

export type { Policy, Energy, PartOfDay, Nature } from './nature-schema.ts';

/** Minutes taken for what nobody said. */
export const GUESSED_MINUTES = 10;

export const USUAL_NATURE: Nature = {
  notes: '',
  importance: 0,
  effort: null,
  energy: null,
  dayPart: null,
  tagIds: [],
  situationIds: [],
  placeId: null,
  policy: 'any',
  confirm: false,
  pace: null,
  wanted: null,
};
