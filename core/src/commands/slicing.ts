import { v5 } from 'uuid';
import type { Reader, RecordedCommand } from '../reader/reader.ts';
import { withBelow } from '../reader/tree.ts';
import type { CommandName } from './may.ts';

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

interface Sliced {
  id: string;
  name: CommandName;
  payload: unknown;
}

/** What is done ahead of a command; the command then does what is left. Empty: it is short enough as it is. */
export function slicesOf(command: Sliced, reader: Reader): Slice[] {
  const payloads = SLICING[command.name]?.(command.payload as never, reader) ?? [];
  return payloads.map((payload, nth) => ({ id: sliceId(command.id, nth), payload }));
}

const SLICING: { [N in CommandName]?: (payload: never, reader: Reader) => unknown[] } = {
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
  'person.end': (payload: { person: string; parts: unknown[] }) => chunks(payload.parts, (parts) => ({ ...payload, parts })),
  undo: (payload: { command: string }, reader) => undoingOf(payload.command, reader),
};

/** Whether a command may be done in slices. */
export const isSliced = (name: CommandName): boolean => SLICING[name] !== undefined;

/** All but the last stretch, which the command itself does. */
function chunks<T, P>(all: readonly T[], payloadOf: (some: T[]) => P): P[] {
  const payloads: P[] = [];
  for (let from = 0; from + SLICE_ROWS < all.length; from += SLICE_ROWS) payloads.push(payloadOf(all.slice(from, from + SLICE_ROWS)));
  return payloads;
}

/** What lies below some items and goes, or comes, with them. */
function alongWith(items: readonly string[], reader: Reader, goes: (removedAt: string | null, top: string | null) => boolean): string[] {
  const along = new Set<string>();
  for (const itemId of items) {
    const top = reader.get('item', itemId);
    if (typeof top === 'string') continue;
    for (const id of withBelow(itemId, reader)) {
      const below = reader.get('item', id);
      if (id !== itemId && typeof below !== 'string' && goes(below.removedAt, top.removedAt)) along.add(id);
    }
  }
  return [...along];
}

function inSection(sectionId: string, reader: Reader): string[] {
  const section = reader.get('section', sectionId);
  if (typeof section === 'string') return [];
  return reader.by('item', 'listId', section.listId).filter((item) => item.sectionId === sectionId).map(({ id }) => id); // prettier-ignore
}

const tagged = (tagId: string, reader: Reader): string[] => reader.all('item').filter(({ tagIds }) => tagIds.includes(tagId)).map(({ id }) => id); // prettier-ignore

/** A command and what was done ahead of it, the command first: what it did last is undone first. */
function recordsOf(commandId: string, reader: Reader): RecordedCommand[] {
  const records: RecordedCommand[] = [];
  for (let id = commandId, nth = 0; ; id = sliceId(commandId, nth++)) {
    const record = reader.command(id);
    if (typeof record === 'string') break;
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
