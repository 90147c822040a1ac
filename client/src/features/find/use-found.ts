import { calendarDateOf, countingParts, findItems, isDone, readFindQuery, withBelowTags, type FindQuery, type Item, type Reader } from '@kotiva/core';
import { useMemo } from 'react';
import { useNow, useOpenHouse } from '@/store/store.ts';
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
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const query = useMemo(() => readFindQuery(typed, namesOf(rows, today)), [typed, rows, today]);
  const all = useMemo(() => foundIn(query, rows), [query, rows]);
  const isDoneToo = withDone && !query.onlyOpen;
  const [open, done] = useMemo(() => split(all, (item) => !isDone(item, rows.by('part', 'itemId', item.id))), [all, rows]);
  const asked = useMemo(() => readFindQuery(settled, namesOf(rows, today)), [settled, rows, today]);
  // where nothing open has it, what was done long ago may
  const reached = useBeyond(!query.onlyOpen && (isDoneToo || open.length === 0) ? beyondOf(asked) : null);
  return { found: isDoneToo ? [...open, ...done] : open, onlyDone: isDoneToo || query.onlyOpen || open.length > 0 ? 0 : done.length, reached };
}

const namesOf = (rows: Reader, today: string) => ({ tags: rows.all('tag').filter(({ removedAt }) => removedAt === null), people: rows.all('person'), today }); // prettier-ignore

function foundIn({ words, tagIds, personIds, due, onlyOpen }: FindQuery, rows: Reader): Item[] {
  const isNarrowed = tagIds.length + personIds.length > 0 || due !== null || onlyOpen;
  const some = isNarrowed && words.trim() === '' ? rows.all('item').filter(({ removedAt }) => removedAt === null) : findItems(words, rows);
  if (!isNarrowed) return some;
  const tags = tagIds.map((id) => withBelowTags([id], rows));
  const isDue = ({ due: day }: Item) => due === null || (day !== null && day.slice(0, 10) >= due.from && day.slice(0, 10) <= due.to);
  const fits = (item: Item) =>
    isDue(item) &&
    tags.every((any) => item.tagIds.some((id) => any.has(id))) &&
    personIds.every((id) => countingParts(rows.by('part', 'itemId', item.id)).some(({ personId }) => personId === id));
  return some.filter(fits);
}

/** What is asked of the server: words where there are any, else everything that has those tags and people. */
function beyondOf({ words, tagIds, personIds, due }: FindQuery): Beyond | null {
  const trimmed = words.trim();
  if (trimmed.length >= LEAST_ASKED) return { words: trimmed };
  if (tagIds.length + personIds.length === 0 && due === null) return null;
  const conditions = [
    ...(due === null ? [] : [{ of: 'date', field: 'due', span: { kind: 'between', ...due }, not: false }]),
    ...tagIds.map((id) => ({ of: 'tag', ids: [id], not: false })),
    ...personIds.map((id) => ({ of: 'person', who: [id], not: false })),
  ];
  return { filter: JSON.stringify({ match: 'all', state: 'both', conditions }) };
}

function split<T>(rows: readonly T[], isFirst: (row: T) => boolean): [T[], T[]] {
  const [first, rest]: [T[], T[]] = [[], []];
  for (const row of rows) (isFirst(row) ? first : rest).push(row);
  return [first, rest];
}
