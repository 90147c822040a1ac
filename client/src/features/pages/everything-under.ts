import type { Filter } from '@kotiva/core';

/** Where everything open under a tag, in a list or at a place is; from there it can be narrowed further, and laid out otherwise. */
export function everythingUnder(of: 'tag' | 'list' | 'place' | 'project', id: string): '/whole' {
  const filter: Filter = { match: 'all', state: 'open', conditions: [{ of, ids: [id], not: false }] };
  return `/whole?narrow=${encodeURIComponent(JSON.stringify(filter))}` as '/whole';
}

/** Everything that was done of a project between two days, looked back over. */
export function projectLookedBack(id: string, from: string, to: string): '/looking-back' {
  const filter: Filter = { match: 'all', state: 'both', conditions: [{ of: 'project', ids: [id], not: false }] };
  return `/looking-back?span=own&from=${from}&to=${to}&narrow=${encodeURIComponent(JSON.stringify(filter))}` as '/looking-back';
}
