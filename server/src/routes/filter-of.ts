import { isNarrowing, readFilterText, type Filter } from '@kotiva/core/filtering';
import { Filter as FilterSchema } from '@kotiva/core/schemas';
import { Problem } from '../problem.ts';

/** Of a filter, as text: twenty conditions of fifty ids each are more than anybody puts together by hand. */
export const MOST_FILTER_LETTERS = 16_000;

/** A filter out of an address. Refused where nothing is asked by it. */
export function filterOf(text: string): Filter {
  const parsed = FilterSchema.safeParse(readFilterText(text).filter);
  if (!parsed.success || !isNarrowing(parsed.data)) throw new Problem(422, 'malformed', 'This is no filter.', { field: 'filter' });
  return parsed.data;
}
