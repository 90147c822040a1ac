import type { Rows } from '../reader/finding.ts';
import type { Attachment } from '../model/attachment-schema.ts';
import type { Comment } from '../model/comment-schema.ts';
import type { Item } from '../model/item.ts';
import { hasTerm, hasTerms, termsOf, wordsIn, type Term } from './terms.ts';

/** Where words were found, best first: each item counts by the worst it needs. */
const LEVELS = ['title', 'steps', 'notes', 'comments', 'files'] as const;
type Level = (typeof LEVELS)[number];
/** Of each level, which words it has: the nth bit is the nth word. */
type Found = Record<Level, number> & { item: Item };

/** Steps within steps, at most. */
const MOST_DEPTH = 50;

/**
 * Items in which every word occurs: in the title, in those of their steps, in notes, in what was said or in the name of a file. Where a step has all of them by
 * itself it stands for its item, which is found beside it only if it needs none of its steps. Best first: titles that begin with what was
 * typed, then by where the words are, then by title. Nothing typed finds nothing. Removed things are not found.
 */
export function findItems(typed: string, rows: Pick<Rows, 'all'>): Item[] {
  const terms = termsOf(typed);
  if (terms.length === 0) return [];
  const found = foundWords(terms, rows);
  const all = 2 ** terms.length - 1;
  const own = (one: Found): number => one.title | one.notes | one.comments | one.files;
  const stepsThatHaveAll = new Set([...found.values()].filter((one) => (own(one) | one.steps) === all).map(({ item }) => item.parentId));
  const hits = [...found.values()].filter((one) => own(one) === all || ((own(one) | one.steps) === all && !stepsThatHaveAll.has(one.item.id)));
  const whole = wordsIn(typed).join(' ');
  const ranked = hits.map((one) => ({ item: one.item, rank: wordsOfTitle(one.item).join(' ').startsWith(whole) ? -1 : levelOf(one, all) }));
  return ranked.sort((a, b) => a.rank - b.rank || compare(a.item.title, b.item.title) || compare(a.item.id, b.item.id)).map(({ item }) => item);
}

/** The levels it takes to have all words, counted from the best. */
function levelOf(one: Found, all: number): number {
  let has = 0;
  for (const [nth, level] of LEVELS.entries()) {
    has |= one[level];
    if (has === all) return nth;
  }
  return LEVELS.length;
}

function foundWords(terms: readonly Term[], rows: Pick<Rows, 'all'>): Map<string, Found> {
  const items = new Map<string, Item>();
  const found = new Map<string, Found>();
  const note = (item: Item, level: Level, mask: number) => {
    if (mask === 0) return;
    const known = found.get(item.id) ?? { item, title: 0, steps: 0, notes: 0, comments: 0, files: 0 };
    known[level] |= mask;
    found.set(item.id, known);
  };
  const maskOf = (words: readonly string[]): number => terms.reduce((mask, term, nth) => (hasTerm(words, term) ? mask | (1 << nth) : mask), 0);
  for (const item of rows.all('item')) {
    if (item.removedAt !== null) continue;
    items.set(item.id, item);
    note(item, 'title', maskOf(wordsOfTitle(item)));
    if (item.notes !== '') note(item, 'notes', maskOf(wordsOfNotes(item)));
  }
  for (const comment of rows.all('comment')) {
    const item = comment.removedAt === null ? items.get(comment.itemId) : undefined;
    if (item) note(item, 'comments', maskOf(wordsOfComment(comment)));
  }
  for (const file of rows.all('attachment')) {
    const item = file.removedAt === null ? items.get(file.itemId) : undefined;
    if (item) note(item, 'files', maskOf(wordsOfFile(file)));
  }
  // what a step has, its item has too
  for (const { item, title, notes, comments, files } of [...found.values()]) {
    let above = item.parentId === null ? undefined : items.get(item.parentId);
    for (let depth = 0; above && depth < MOST_DEPTH; depth++) {
      note(above, 'steps', title | notes | comments | files);
      above = above.parentId === null ? undefined : items.get(above.parentId);
    }
  }
  return found;
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** A row's words are taken apart once: it is another row when it has others. */
function remembered<R extends object>(wordsOf: (row: R) => string[]): (row: R) => readonly string[] {
  const known = new WeakMap<R, readonly string[]>();
  return (row) => {
    const words = known.get(row) ?? wordsOf(row);
    known.set(row, words);
    return words;
  };
}

const wordsOfTitle = remembered<Item>(({ title }) => wordsIn(title));
const wordsOfNotes = remembered<Item>(({ notes }) => wordsIn(notes));
const wordsOfFile = remembered<Attachment>(({ name }) => wordsIn(name));
const wordsOfComment = remembered<Comment>(({ text }) => wordsIn(text));

/** Whether a title or notes have all words. */
export const itemHasTerms = (item: Item, terms: readonly Term[]): boolean => hasTerms([...wordsOfTitle(item), ...wordsOfNotes(item)], terms);

/** Of rows that have a name, those in whose text every word occurs, by name. */
export function findNamed<R extends { name: string }>(typed: string, rows: readonly R[], textOf: (row: R) => string = ({ name }) => name): R[] {
  const terms = termsOf(typed);
  if (terms.length === 0) return [];
  return rows.filter((row) => hasTerms(wordsIn(textOf(row)), terms)).sort((a, b) => a.name.localeCompare(b.name));
}
