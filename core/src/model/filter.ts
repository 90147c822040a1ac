import type { FilterCondition, Filter } from './filter-schema.ts';

export type { FieldAsk, FilterCondition, Filter, Span } from './filter-schema.ts';

export const MOST_CONDITIONS = 20;
/** Lists, tags, people and so on in one condition. */
export const MOST_NAMED = 50;
export const MOST_SPAN_DAYS = 3_660;
/** So much of what lies beyond a device is found by a filter, the newest. */
export const MOST_MET = 1_500;

/** `plan`: the reader's own. `made`, `done`, `touched`: the house's calendar day of the moment. */
export const DATE_FIELDS = ['due', 'plan', 'start', 'made', 'done', 'touched'] as const;
export type DateField = (typeof DATE_FIELDS)[number];

/** What can be asked of a field: anything in it; words; a number from and to; any of some choices or people; a day. */
export const FIELD_ASKS = ['any', 'words', 'number', 'among', 'span'] as const;

export const HAVINGS = ['steps', 'notes', 'files', 'comments', 'reminder', 'repeat', 'waits', 'talk'] as const;
export type Having = (typeof HAVINGS)[number];

/** Everything open. */
export const NO_FILTER: Filter = { match: 'all', state: 'open', conditions: [] };

export const isNarrowing = ({ state, conditions }: Filter): boolean => state !== 'open' || conditions.length > 0;

/** What a condition names: rows that may be gone. */
const NAMES = {
  list: 'list',
  bundle: 'bundle',
  project: 'project',
  section: 'section',
  tag: 'tag',
  place: 'place',
  situation: 'situation',
  person: 'person',
  giver: 'person',
  field: 'ownField',
} as const;
export type NamedNoun = (typeof NAMES)[keyof typeof NAMES];

/** The noun whose rows a condition names, with their ids; null where it names none. */
export function namedBy(condition: FilterCondition): { noun: NamedNoun; ids: string[] } | null {
  if (condition.of === 'field') return { noun: 'ownField', ids: [condition.field] };
  if ('ids' in condition) return { noun: NAMES[condition.of], ids: condition.ids };
  if ('who' in condition) return { noun: 'person', ids: condition.who.filter((who) => who !== 'me' && who !== 'nobody') };
  return null;
}
