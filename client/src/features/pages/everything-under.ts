import type { Filter } from '@kotiva/core';

/** Where everything open under a tag, in a list or at a place is; from there it can be narrowed further, and laid out otherwise. */
export function everythingUnder(of: 'tag' | 'list' | 'place', id: string): '/whole' {
  const filter: Filter = { match: 'all', state: 'open', conditions: [{ of, ids: [id], not: false }] };
  return `/whole?narrow=${encodeURIComponent(JSON.stringify(filter))}` as '/whole';
}
