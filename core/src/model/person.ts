import type { Person, Rest } from './person-schema.ts';

export type { Role, Colour, Pattern, Rest, Person } from './person-schema.ts';

export const COLOURS = ['petrol', 'indigo', 'plum', 'rust', 'aubergine', 'moss', 'slate', 'umber', 'olive', 'graphite'] as const;

/** The weave of a person's patch, so that colour is never the only cue. */
export const PATTERNS = ['weft', 'warp', 'twill', 'zigzag', 'diamond', 'dashes'] as const;
export const USUAL_REST: Rest = { hours: { from: '21:00', to: '07:00' }, daysOff: [] };
export const NO_CONTACT = { email: null, phone: null, contact: '' };

export const isHere = (person: Person): boolean => person.endedAt === null;

/** In the order they came into the house. */
export const byArrival = (a: Person, b: Person): number => (a.stamps['']?.s ?? 0) - (b.stamps['']?.s ?? 0) || (a.id < b.id ? -1 : 1);
