import type { Filter } from '@kotiva/core';

/** Where everything open under a tag is. */
export function addressOfTag(tagId: string): string {
  const filter: Filter = { match: 'all', state: 'open', conditions: [{ of: 'tag', ids: [tagId], not: false }] };
  return `/whole?narrow=${encodeURIComponent(JSON.stringify(filter))}`;
}
