import type { Tag } from '../model/tag.ts';

/** A broader tag gathers those under it. */
export function withBelowTags(ids: readonly string[], rows: { all(noun: 'tag'): readonly Tag[] }): Set<string> {
  const found = new Set(ids);
  const tags = rows.all('tag').filter(({ removedAt }) => removedAt === null);
  // a set that grows is walked to its end: each tag once, also where two lie under each other
  for (const id of found) for (const tag of tags) if (tag.parentId === id) found.add(tag.id);
  return found;
}
