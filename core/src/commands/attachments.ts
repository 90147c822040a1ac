import * as z from 'zod/mini';
import { allows } from '../access/allows.ts';
import { fileNameOf, MOST_ATTACHMENTS } from '../model/attachment.ts';
import type { Attachment } from '../model/attachment-schema.ts';
import { Id } from '../model/row-schema.ts';
import { addressOf } from '../model/web-address.ts';
import { choresWith } from './copied-files.ts';
import type { Deciding } from './deciding.ts';
import { listeners } from './following.ts';
import { giversOf } from './completion.ts';
import { commandKind } from './kind.ts';
import { partId, signOfLife } from './parts.ts';
import { refuse } from './reasons.ts';

/** More is no name, whatever is made of it. */
const MOST_GIVEN_NAME = 1_000;
const LONGEST_ADDRESS = 2_000;
/** Beyond it no number of bytes is one. */
const MOST_BYTES = 1e12;

/**
 * A file is to come with an item: the device sends its bytes by itself, under the id of the row this makes. `asked`: it answers what the
 * item asks for when it is checked off.
 */
export const addAttachment = commandKind({
  name: 'attachment.add',
  payload: z.object({
    item: Id,
    name: z.string().check(z.maxLength(MOST_GIVEN_NAME)),
    size: z.int().check(z.gte(0), z.lte(MOST_BYTES)),
    asked: z.optional(z.nullable(Id)),
  }),
  asks: ({ item }) => [{ permission: 'answer', item }],
  decide({ item, name, size, asked }, d) {
    if (size === 0) refuse('file-empty', { name }, 'size');
    const part = asked === undefined ? undefined : d.find('part', partId(item, asked));
    attach(item, { name: fileNameOf(name) || 'file', size, partId: part?.id ?? null }, d);
  },
});

/** The address of something kept elsewhere is with an item. */
export const linkAttachment = commandKind({
  name: 'attachment.link',
  payload: z.object({
    item: Id,
    url: z.string().check(z.trim(), z.maxLength(LONGEST_ADDRESS)),
    name: z.optional(z.string().check(z.maxLength(MOST_GIVEN_NAME))),
  }),
  asks: ({ item }) => [{ permission: 'answer', item }],
  decide({ item, url, name }, d) {
    const address = addressOf(url) ?? refuse('bad-address', {}, 'url');
    attach(item, { name: fileNameOf(name ?? '') || fileNameOf(address.host), url: address.href, arrivedAt: d.now }, d);
  },
});

type Attached = Pick<Attachment, 'name'> & Partial<Attachment>;

function attach(itemId: string, fields: Attached, d: Deciding): void {
  const item = d.need('item', itemId);
  const there = d.by('attachment', 'itemId', itemId).filter(({ removedAt }) => removedAt === null);
  if (there.length >= MOST_ATTACHMENTS) refuse('too-many', { max: MOST_ATTACHMENTS });
  const nothing = { partId: null, url: null, size: null, mediaType: null, sha256: null, width: null, height: null, arrivedAt: null, removedAt: null };
  d.insert('attachment', d.newId(), { ...nothing, ...fields, itemId, authorId: d.actor.id, at: d.now });
  d.enter('attachment.add', { itemId }, { file: fields.name });
  const own = d.find('part', partId(itemId, d.actor.id));
  if (own && own.takenBackAt === null) d.set('part', own.id, signOfLife(d));
  for (const personId of listeners(item, 'said', giversOf(item, d), d))
    if (!isToldOfOne(personId, itemId, d)) d.notify(personId, 'file', itemId, { title: item.title, text: fields.name });
}

/** Several photos of one leak are one thing to be told of: until the first was read, the next say nothing. */
const isToldOfOne = (personId: string, itemId: string, d: Deciding): boolean =>
  d
    .by('notice', 'personId', personId)
    .some(
      (notice) => notice.kind === 'file' && notice.itemId === itemId && notice.byId === d.actor.id && notice.readAt === null && notice.withdrawnAt === null,
    );

/** Whoever put it there, or may change the item, takes it away; its bytes are kept for a while. */
export const removeAttachment = commandKind({
  name: 'attachment.remove',
  payload: z.object({ attachment: Id }),
  asks: ({ attachment: id }, d) => {
    const attachment = d.find('attachment', id);
    const actor = d.actorOrNull;
    const isOwn = attachment !== undefined && attachment.authorId === actor?.id && allows({ permission: 'see', item: attachment.itemId }, actor, d);
    return attachment === undefined || isOwn ? [{ permission: 'self', is: isOwn }] : [{ permission: 'change', item: attachment.itemId }];
  },
  decide({ attachment: id }, d) {
    const { itemId, name, removedAt } = d.need('attachment', id);
    if (removedAt !== null) return;
    d.set('attachment', id, { removedAt: d.now });
    endGoingAlong(id, itemId, d);
    d.enter('attachment.remove', { itemId }, { file: name });
  },
});

/** What is taken away itself goes along with a chore no longer; a copy of it is that one's alone. */
function endGoingAlong(fileId: string, itemId: string, d: Deciding): void {
  for (const { id, fileIds } of choresWith(fileId, itemId, d)) d.set('series', id, { fileIds: fileIds.filter((one) => one !== fileId) });
}

/** All of a file has come. Said by the server alone: nobody gets a file by knowing its hash. */
export const arriveAttachment = commandKind({
  name: 'attachment.arrive',
  payload: z.object({
    attachment: Id,
    sha256: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
    mediaType: z.string().check(z.maxLength(100)),
    width: z.nullable(z.int()),
    height: z.nullable(z.int()),
  }),
  asks: () => [{ permission: 'system' }],
  decide({ attachment: id, ...file }, d) {
    if (d.need('attachment', id).arrivedAt !== null) return;
    d.set('attachment', id, { ...file, arrivedAt: d.now });
  },
});
