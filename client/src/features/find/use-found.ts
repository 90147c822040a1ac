import { countingParts, findItems, isDone, readFindQuery, withBelowTags, type FindQuery, type Item, type MemoryRows } from '@kotiva/core';
import { useMemo } from 'react';
import { useOpenHouse } from '@/store/store.ts';
import { useBeyond, type Beyond } from '@/store/use-beyond.ts';
import type { Reached } from '@/store/beyond.ts';

export interface Finding {
  /** Best first, what is open before what is done. */
  found: readonly Item[];
  /** Done things have it, and nothing open. */
  onlyDone: number;
  reached: Reached;
}

/** The server is asked for what is done once so many letters stand still. */
const LEAST_ASKED = 2;

/** What has the words: of what this device holds at once; with what is done, of what lies further back a moment later. `settled`: what is asked of the server. */
export function useFound(typed: string, settled: string, withDone: boolean): Finding {
  const { rows } = useOpenHouse();
  const all = useMemo(() => foundIn(readFindQuery(typed, namesOf(rows)), rows), [typed, rows]);
  const [open, done] = useMemo(() => split(all, (item) => !isDone(item, rows.by('part', 'itemId', item.id))), [all, rows]);
  const asked = useMemo(() => readFindQuery(settled, namesOf(rows)), [settled, rows]);
  // where nothing open has it, what was done long ago may
  const reached = useBeyond(withDone || open.length === 0 ? beyondOf(asked) : null);
  return { found: withDone ? [...open, ...done] : open, onlyDone: withDone || open.length > 0 ? 0 : done.length, reached };
}

const namesOf = (rows: MemoryRows) => ({ tags: rows.all('tag').filter(({ removedAt }) => removedAt === null), people: rows.all('person') });

function foundIn({ words, tagIds, personIds }: FindQuery, rows: MemoryRows): Item[] {
  const isNarrowed = tagIds.length + personIds.length > 0;
  const some = isNarrowed && words.trim() === '' ? rows.all('item').filter(({ removedAt }) => removedAt === null) : findItems(words, rows);
  if (!isNarrowed) return some;
  const tags = tagIds.map((id) => withBelowTags([id], rows));
  const fits = (item: Item) =>
    tags.every((any) => item.tagIds.some((id) => any.has(id))) &&
    personIds.every((id) => countingParts(rows.by('part', 'itemId', item.id)).some(({ personId }) => personId === id));
  return some.filter(fits);
}

/** What is asked of the server: words where there are any, else everything that has those tags and people. */
function beyondOf({ words, tagIds, personIds }: FindQuery): Beyond | null {
  const trimmed = words.trim();
  if (trimmed.length >= LEAST_ASKED) return { words: trimmed };
  if (tagIds.length + personIds.length === 0) return null;
  const conditions = [...tagIds.map((id) => ({ of: 'tag', ids: [id], not: false })), ...personIds.map((id) => ({ of: 'person', who: [id], not: false }))];
  return { filter: JSON.stringify({ match: 'all', state: 'both', conditions }) };
}

function split<T>(rows: readonly T[], isFirst: (row: T) => boolean): [T[], T[]] {
  const [first, rest]: [T[], T[]] = [[], []];
  for (const row of rows) (isFirst(row) ? first : rest).push(row);
  return [first, rest];
}
