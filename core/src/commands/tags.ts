import * as z from 'zod/mini';
import { COLOURS } from '../model/person.ts';
import { Colour } from '../model/person-schema.ts';
import type { Item } from '../model/item.ts';
import { Id } from '../model/row-schema.ts';
import { tagKey, type Tag } from '../model/tag.ts';
import { TagName } from '../model/tag-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind, SLICE } from './kind.ts';
import { relationsToItem } from '../access/relations.ts';
import { type CommandRequest } from './required-permissions.ts';
import { refuse } from './reasons.ts';

/** The tags there are by the word they are known by, worked out once for a command: those it makes it remembers itself. */
const tagsByWord = (d: Deciding): Map<string, Tag[]> =>
  d.once('tags by word', () => {
    const byWord = new Map<string, Tag[]>();
    for (const tag of d.all('tag')) if (!tag.removedAt) byWord.set(tagKey(tag.name), [...(byWord.get(tagKey(tag.name)) ?? []), tag]);
    return byWord;
  });

/** The tag a word means to the actor: one of their own, or carried by something they see. */
const knownTag = (name: string, d: Deciding): Tag | undefined =>
  tagsByWord(d)
    .get(tagKey(name))
    ?.find((tag) => isKnown(tag, d));

const isKnown = (tag: Tag, d: Deciding): boolean =>
  tag.makerId === d.actor.id || d.once(`sees ${tag.id}`, () => d.by('item', 'tag', tag.id).some((item) => relationsToItem(item, d.actor, d).length > 0));

/** The tags of these names: those the actor knows, and new ones for words never used. Each once, in the order given. */
export function tagsNamed(names: readonly string[], d: Deciding): string[] {
  if (names.length === 0) return [];
  const ids = names.map((name) => {
    const known = knownTag(name, d);
    if (known) return known.id;
    const made = insertTag(name, {}, d);
    tagsByWord(d).set(tagKey(name), [made]);
    return made.id;
  });
  return [...new Set(ids)];
}

/** A fresh colour as long as there is one, so that tags are told apart. */
function insertTag(name: string, { colour, parentId = null }: { colour?: Colour; parentId?: string | null }, d: Deciding): Tag {
  const used = d.all('tag').filter((tag) => !tag.removedAt);
  const rarest = [...COLOURS].sort((a, b) => timesUsed(a, used) - timesUsed(b, used))[0]!;
  return d.insert('tag', d.newId(), { makerId: d.actor.id, name: name.trim().replace(/\s+/g, ' '), colour: colour ?? rarest, parentId, removedAt: null });
}
const timesUsed = (colour: Colour, tags: readonly Tag[]): number => tags.filter((tag) => tag.colour === colour).length;

/** Whoever made a tag shapes it, and managers. */
const shaping = (tagId: string, d: Deciding): CommandRequest =>
  d.find('tag', tagId)?.makerId === d.actorOrNull?.id && d.actorOrNull !== null ? { permission: 'self', is: true } : { permission: 'manage' };

export const makeTag = commandKind({
  name: 'tag.make',
  payload: z.object({ name: TagName, colour: z.optional(Colour), parent: z.optional(z.nullable(Id)) }),
  asks: () => [{ permission: 'keep' }],
  decide({ name, colour, parent }, d) {
    if (knownTag(name, d)) refuse('tag-exists', { name }, 'name');
    if (parent) d.need('tag', parent);
    insertTag(name, { colour, parentId: parent ?? null }, d);
  },
});

export const changeTag = commandKind({
  name: 'tag.change',
  payload: z.object({ tag: Id, name: z.optional(TagName), colour: z.optional(Colour), parent: z.optional(z.nullable(Id)) }),
  asks: ({ tag }, d) => [shaping(tag, d)],
  decide({ tag: tagId, name, colour, parent }, d) {
    d.need('tag', tagId);
    const same = name === undefined ? [] : (tagsByWord(d).get(tagKey(name)) ?? []);
    if (same.some((other) => other.id !== tagId && isKnown(other, d))) refuse('tag-exists', { name: name! }, 'name');
    if (parent) d.need('tag', parent);
    d.set('tag', tagId, { name: name?.trim().replace(/\s+/g, ' '), colour, parentId: parent });
  },
});

/** Two words for one thing become one: every item that carried the first carries the second. */
export const mergeTags = commandKind({
  name: 'tag.merge',
  payload: z.object({ from: Id, into: Id, items: SLICE }),
  asks: ({ from, into }, d) => [shaping(from, d), shaping(into, d)],
  decide({ from, into, items }, d) {
    if (from === into) refuse('into-itself', { title: d.need('tag', from).name }, 'into');
    d.need('tag', into);
    for (const item of carrying(from, items, d)) d.set('item', item.id, { tagIds: [...new Set(item.tagIds.map((id) => (id === from ? into : id)))] });
    if (!d.context.slice) dropTag(from, d);
  },
});

export const removeTag = commandKind({
  name: 'tag.remove',
  payload: z.object({ tag: Id, items: SLICE }),
  asks: ({ tag }, d) => [shaping(tag, d)],
  decide({ tag: tagId, items }, d) {
    for (const item of carrying(tagId, items, d)) d.set('item', item.id, { tagIds: item.tagIds.filter((id) => id !== tagId) });
    if (!d.context.slice) dropTag(tagId, d);
  },
});

/** The items that carry a tag; of a slice, those it is about. */
function carrying(tagId: string, slice: readonly string[] | undefined, d: Deciding): Item[] {
  const among = d.context.slice && slice ? slice.map((id) => d.need('item', id)) : d.by('item', 'tag', tagId);
  return among.filter(({ tagIds }) => tagIds.includes(tagId));
}

function dropTag(tagId: string, d: Deciding): void {
  for (const child of d.all('tag')) if (child.parentId === tagId) d.set('tag', child.id, { parentId: null });
  d.set('tag', tagId, { removedAt: d.now });
}
