import type { Item } from '../model/item.ts';
import type { Noun, Row } from '../model/nouns.ts';
import type { Part } from '../model/part.ts';
import type { Reader } from '../reader/reader.ts';
import { above } from '../reader/tree.ts';
import { isDone } from './standing.ts';

/**
 * What a device holds of a house that has been lived in for years. A cluster is an item with what stands above and below it, and every row
 * that names one of them. A device holds whole clusters: those in which something is open or in somebody's *Back*, those something happened
 * to since `from`, and, without what happened to them, the newest of each list and chore. `from` is the number of the last command before the window: the house says it.
 */

/** So many days back everything is held. */
export const WINDOW_DAYS = 90;
/** And of each list, whatever its age, so many of the last that were touched. */
export const NEWEST_OF_LIST = 300;
/** And of each chore: whose turn it was the last times. */
export const NEWEST_OF_SERIES = 20;

/** Rows that name an item and come and go with it. */
export const CLUSTERED = ['part', 'alarm', 'wait', 'comment', 'attachment', 'guest', 'fieldValue', 'watch', 'activity'] as const satisfies readonly Noun[];

/** Somebody has still to do with it: it is open, or came back to whoever gave it and was not looked at yet. */
export function isLiving(item: Item, parts: readonly Part[]): boolean {
  if (item.removedAt !== null || item.purgedAt !== null || item.missedAt !== null) return false;
  return !isDone(item, parts) || (item.seriesId === null && parts.some(isBack));
}

const isBack = ({ standing, personId, giverId, originId, takenBackAt, putAwayAt }: Part): boolean =>
  standing === 'completed' &&
  personId !== null &&
  takenBackAt === null &&
  putAwayAt === null &&
  [giverId, originId].some((id) => id !== null && id !== personId);

/**
 * Whether every device of whoever sees an item holds it: then a change of it is all they need. Otherwise they are given all of its cluster.
 * Looks only at what everybody sees who sees the item.
 */
export const isHeldByAll = (item: Item, parts: readonly Part[], from: number): boolean =>
  item.seq > from || parts.some(({ seq }) => seq > from) || isLiving(item, parts);

/** A row that names no item and has had its time. `today`: the house's date. */
export function hasPassed(noun: Noun, row: Row, today: string): boolean {
  if (noun === 'activity') return (row as Row<'activity'>).itemId === null;
  if (noun === 'notice') return (row as Row<'notice'>).readAt !== null || (row as Row<'notice'>).withdrawnAt !== null;
  if (noun === 'slot') return (row as Row<'slot'>).removedAt !== null || (row as Row<'slot'>).start < today;
  if (noun === 'stretch') return (row as Row<'stretch'>).endedAt !== null;
  if (noun === 'errandRound') return (row as Row<'errandRound'>).endedAt !== null;
  return false;
}

/** What a device may let go of: the rows it holds and needn't. */
export function beyondWindow(rows: Pick<Reader, 'find' | 'by' | 'all'>, from: number, today: string): { noun: Noun; id: string }[] {
  const clusters = clustersOf(rows);
  const newest = newestOf(clusters, rows);
  const beyond: { noun: Noun; id: string }[] = [];
  for (const [top, items] of clusters) {
    if (items.some((item) => isWanted(item, rows, from))) continue;
    const isNewest = newest.has(top);
    for (const { id: itemId } of items) {
      if (!isNewest) beyond.push({ noun: 'item', id: itemId });
      // what happened to it long ago comes when it is opened
      for (const noun of isNewest ? HISTORY : CLUSTERED) for (const { id } of rows.by(noun, 'itemId', itemId)) beyond.push({ noun, id });
    }
  }
  for (const noun of PASSING) for (const row of rows.all(noun)) if (row.seq <= from && hasPassed(noun, row, today)) beyond.push({ noun, id: row.id });
  return beyond;
}

const HISTORY = ['activity'] as const;
const PASSING = ['activity', 'notice', 'slot', 'stretch', 'errandRound'] as const;

/** Items by what stands highest above them, as far as it is held. */
function clustersOf(rows: Pick<Reader, 'find' | 'all'>): Map<string, Item[]> {
  const clusters = new Map<string, Item[]>();
  for (const item of rows.all('item')) {
    let top = item.id;
    for (const { id } of above(item, rows)) top = id;
    const known = clusters.get(top);
    if (known) known.push(item);
    else clusters.set(top, [item]);
  }
  return clusters;
}

/** The clusters that are among the newest of a list or a chore. */
function newestOf(clusters: ReadonlyMap<string, readonly Item[]>, rows: Pick<Reader, 'find'>): Set<string> {
  const queues = new Map<string, { most: number; tops: { top: string; seq: number }[] }>();
  for (const [top, items] of clusters)
    for (const item of items)
      for (const [of, most] of queuesOf(item, rows)) {
        const queue = queues.get(of) ?? { most, tops: [] };
        queues.set(of, queue);
        queue.tops.push({ top, seq: item.seq });
      }
  const kept = new Set<string>();
  for (const { most, tops } of queues.values()) for (const { top } of tops.sort((a, b) => b.seq - a.seq).slice(0, most)) kept.add(top);
  return kept;
}

function isWanted(item: Item, rows: Pick<Reader, 'by'>, from: number): boolean {
  const parts = rows.by('part', 'itemId', item.id);
  return isHeldByAll(item, parts, from) || CLUSTERED.some((noun) => noun !== 'part' && rows.by(noun, 'itemId', item.id).some(({ seq }) => seq > from));
}

/** In which queues of the newest an item stands: its list's at its top, its chore's also when it was left out. */
function queuesOf({ listId, parentId, seriesId, removedAt }: Item, rows: Pick<Reader, 'find'>): [of: string, most: number][] {
  const list = listId === null || parentId !== null || removedAt !== null ? undefined : rows.find('list', listId);
  const isShown = list !== undefined && list.filedAt === null && list.removedAt === null;
  return [
    ...(isShown ? [[list.id, NEWEST_OF_LIST] as [string, number]] : []),
    ...(seriesId === null ? [] : [[seriesId, NEWEST_OF_SERIES] as [string, number]]),
  ];
}
