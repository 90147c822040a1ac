import { v5 } from 'uuid';
import { openParts } from '../followup/standing.ts';
import { YES } from '../model/nouns.ts';
import type { Reader, RecordedCommand } from '../reader/reader.ts';
import { withBelow } from '../reader/tree.ts';
import { inOrder } from '../templates/laid-out.ts';
import { rowsToKeep } from '../templates/rows-to-keep.ts';
import type { Deciding } from './deciding.ts';
import type { CommandName } from './required-permissions.ts';

/** Rows one command may write; what removes or undoes more is done in slices, never refused for its size. */
const MOST_WRITTEN = 2_000;

/** Rows written in one go: what removes, brings back or undoes more is done in slices, each a command by itself. */
export const SLICE_ROWS = 400;

/**
 * A part of a longer command. It is decided like the command itself, by the same person, with `slice` set: what it does goes along with
 * what follows, and is not told by itself. Its id follows from the command's, so that one that was cut off goes on where it was.
 */
export interface Slice {
  id: string;
  payload: unknown;
}

const sliceId = (commandId: string, nth: number): string => v5(`slice:${nth}`, commandId);

/** Of a template, in one go: an item that is kept writes itself and its files, one that is made its parts and its entry in the history as well. */
export const KEPT_AT_ONCE = SLICE_ROWS / 2;
export const MADE_AT_ONCE = SLICE_ROWS;
export const USED_AT_ONCE = SLICE_ROWS / 2;

interface Sliced {
  id: string;
  name: CommandName;
  payload: unknown;
}

/** What is done ahead of a command; the command then does what is left. Empty: it is short enough as it is. */
export function slicesOf(command: Sliced, reader: Reader): Slice[] {
  const payloads = SLICING[command.name]?.(command.payload as never, reader, command.id) ?? [];
  return payloads.map((payload, nth) => ({ id: sliceId(command.id, nth), payload }));
}

const SLICING: { [N in CommandName]?: (payload: never, reader: Reader, commandId: string) => unknown[] } = {
  // what lies deepest first, so that nothing is left standing below what is gone
  'item.remove': ({ items }: { items: string[] }, reader) =>
    chunks(alongWith(items, reader, (removedAt) => removedAt === null).reverse(), (some) => ({ items: some })),
  'item.bringBack': ({ items }: { items: string[] }, reader) =>
    chunks(
      alongWith(items, reader, (removedAt, top) => removedAt === top),
      (some) => ({ items: some }),
    ),
  'section.remove': (payload: { section: string }, reader) => chunks(inSection(payload.section, reader), (items) => ({ ...payload, items })),
  'tag.remove': (payload: { tag: string }, reader) => chunks(tagged(payload.tag, reader), (items) => ({ ...payload, items })),
  'tag.merge': (payload: { from: string; into: string }, reader) => chunks(tagged(payload.from, reader), (items) => ({ ...payload, items })),
  'list.remove': (payload: { list: string; removed: boolean }, reader) =>
    payload.removed ? chunks(choresIn(payload.list, reader), (chores) => ({ ...payload, chores }), SLICE_ROWS / 4) : [],
  'person.end': (payload: { person: string; parts: unknown[] }, reader) => [
    ...chunks(payload.parts, (parts) => ({ ...payload, parts })),
    ...chunks(openPartsFrom(payload.person, reader), (follows) => ({ ...payload, parts: [], follows })),
  ],
  'list.useAgain': (payload: { list: string }, reader) => chunks(reader.by('item', 'listId', payload.list).map(({ id }) => id), (items) => ({ ...payload, items }), SLICE_ROWS / 2), // prettier-ignore
  'part.handOver': (payload: { items: string[]; persons: string[] }) =>
    chunks(payload.items, (items) => ({ ...payload, items }), handedAtOnce(payload.persons)),
  'template.keep': (payload: { list?: string; item?: string }, reader, root) =>
    chunks(
      rowsToKeep(payload, reader).map(({ id }) => id),
      (rows) => ({ ...payload, rows, root }),
      KEPT_AT_ONCE,
    ),
  'template.use': (payload: { template: string }, reader, root) =>
    chunks(
      inOrder(reader.by('templateItem', 'templateId', payload.template)).map(({ id }) => id),
      (rows) => ({ ...payload, rows, root }),
      USED_AT_ONCE,
    ),
  'template.make': (payload: { items: unknown[] }, _, root) => {
    let from = -MADE_AT_ONCE;
    return chunks(payload.items, (items) => ({ ...payload, items, root, from: (from += MADE_AT_ONCE) }), MADE_AT_ONCE);
  },
  undo: (payload: { command: string }, reader) => undoingOf(payload.command, reader),
};

/** Whether the rows a command may write are limited: what makes things is, also where it is done in slices. */
export const isBounded = (name: CommandName): boolean => name === 'part.handOver' || SLICING[name] === undefined;

export const mostWritten = (name: CommandName): number => (isBounded(name) ? MOST_WRITTEN : Infinity);

/** Items handed over in one go: each makes a part and a notice for everybody, and what is written of the item itself. */
export const handedAtOnce = (persons: readonly string[]): number => Math.max(1, Math.floor(SLICE_ROWS / (2 + 2 * persons.length)));

/** What is given to a command in the order it is done, of which so many slices have been done ahead. */
export const leftAfter = <T>(all: readonly T[], slices: number | undefined, atOnce: number): readonly T[] => all.slice((slices ?? 0) * atOnce);

/** All but the last stretch, which the command itself does. */
function chunks<T, P>(all: readonly T[], payloadOf: (some: T[]) => P, atOnce = SLICE_ROWS): P[] {
  const payloads: P[] = [];
  for (let from = 0; from + atOnce < all.length; from += atOnce) payloads.push(payloadOf(all.slice(from, from + atOnce)));
  return payloads;
}

/** What somebody handed to others, and is not done. */
const openPartsFrom = (personId: string, reader: Reader): string[] => openParts(reader.by('part', 'open', YES)).filter(({ originId }) => originId === personId).map(({ id }) => id); // prettier-ignore

/** What lies below some items and goes, or comes, with them. */
function alongWith(items: readonly string[], reader: Reader, goes: (removedAt: string | null, top: string | null) => boolean): string[] {
  const along = new Set<string>();
  for (const itemId of items) {
    const top = reader.find('item', itemId);
    if (top === undefined) continue;
    for (const id of withBelow(itemId, reader)) {
      const below = reader.find('item', id);
      if (id !== itemId && below !== undefined && goes(below.removedAt, top.removedAt)) along.add(id);
    }
  }
  return [...along];
}

function inSection(sectionId: string, reader: Reader): string[] {
  const section = reader.find('section', sectionId);
  if (section === undefined) return [];
  return reader.by('item', 'listId', section.listId).filter((item) => item.sectionId === sectionId).map(({ id }) => id); // prettier-ignore
}

const choresIn = (listId: string, reader: Reader): string[] => reader.all('series').flatMap(({ id, listId: its, endsBefore }) => (its === listId && endsBefore === null ? [id] : [])); // prettier-ignore

const tagged = (tagId: string, reader: Reader): string[] => reader.by('item', 'tag', tagId).map(({ id }) => id);

/** What was done ahead of the command being decided. */
export const slicesAhead = (d: Deciding): RecordedCommand[] =>
  Array.from({ length: d.context.ahead ?? 0 }, (_, nth) => d.command(sliceId(d.context.commandId, nth)));

/** A command and what was done ahead of it, the command first: what it did last is undone first. */
function recordsOf(commandId: string, reader: Reader): RecordedCommand[] {
  const records: RecordedCommand[] = [];
  for (let id = commandId, nth = 0; ; id = sliceId(commandId, nth++)) {
    const record = reader.command(id);
    if (record === undefined) break;
    records.push(record);
  }
  return [records[0]!, ...records.slice(1).reverse()].filter(Boolean);
}

function undoingOf(commandId: string, reader: Reader): unknown[] {
  const records = recordsOf(commandId, reader);
  const stretches = records.flatMap(({ id, changes }) => {
    const starts = Array.from({ length: Math.max(1, Math.ceil(changes.length / SLICE_ROWS)) }, (_, nth) => nth * SLICE_ROWS);
    return starts.map((from) => ({ command: id, from }));
  });
  // what the command itself does is its own first stretch; it is left to the end
  return stretches.slice(1);
}
