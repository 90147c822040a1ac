import type { Item, MemoryRows, Person } from '@kotiva/core';
import type { Editor } from './editor.ts';
import type { Random } from './random.ts';

/** Something somebody does at random, on what they see; returns the id of the command given, if one was. */
export type Doing = (editor: Editor, random: Random, rows: MemoryRows, me: Person) => string | null | undefined;

export const openItems = (rows: MemoryRows): Item[] => rows.all('item').filter((item) => !item.removedAt);
export const given = (result: { id: string | null }) => result.id;

export function withOne<T>(one: T | undefined, give: (one: T) => { id: string | null } | string | null): string | null {
  const done = one === undefined ? null : give(one);
  return typeof done === 'object' ? (done?.id ?? null) : done;
}
