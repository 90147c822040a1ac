import * as z from 'zod/mini';
import { fileNameOf, MOST_ATTACHMENTS } from '../model/attachment.ts';
import type { Attachment } from '../model/attachment-schema.ts';
import { Id } from '../model/row-schema.ts';
import { addressOf } from '../model/web-address.ts';
import { choresWith } from './copied-files.ts';
import type { Deciding } from './deciding.ts';
import { askToAddTo, askToRemoveFrom, FILE_HOST, hostOf } from './file-hosts.ts';
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
 * A file is to come with something: the device sends its bytes by itself, under the id of the row this makes. `asked`: it answers what the
 * item asks for when it is checked off.
 */
export const addAttachment = commandKind({
  name: 'attachment.add',
  payload: z.object({
    ...FILE_HOST,
    name: z.string().check(z.maxLength(MOST_GIVEN_NAME)),
    size: z.int().check(z.gte(0), z.lte(MOST_BYTES)),
    asked: z.optional(z.nullable(Id)),
  }),
  asks: askToAddTo,
  decide({ name, size, asked, ...host }, d) {
    if (size === 0) refuse('file-empty', { name }, 'size');
    const part = asked === undefined || host.item === undefined ? undefined : d.find('part', partId(host.item, asked));
    attach(host, { name: fileNameOf(name) || 'file', size, partId: part?.id ?? null }, d);
  },
});

/** The address of something kept elsewhere. */
export const linkAttachment = commandKind({
  name: 'attachment.link',
  payload: z.object({
    ...FILE_HOST,
    url: z.string().check(z.trim(), z.maxLength(LONGEST_ADDRESS)),
    name: z.optional(z.string().check(z.maxLength(MOST_GIVEN_NAME))),
  }),
  asks: askToAddTo,
  decide({ url, name, ...host }, d) {
    const address = addressOf(url) ?? refuse('bad-address', {}, 'url');
    attach(host, { name: fileNameOf(name ?? '') || fileNameOf(address.host), url: address.href, arrivedAt: d.now }, d);
  },
});

type Attached = Pick<Attachment, 'name'> & Partial<Attachment>;

function attach(host: Parameters<typeof hostOf>[0], fields: Attached, d: Deciding): void {
  const { itemId, commentId } = hostOf(host, d);
  const there = d.by('attachment', 'itemId', itemId).filter(({ removedAt }) => removedAt === null);
  if (there.length >= MOST_ATTACHMENTS) refuse('too-many', { max: MOST_ATTACHMENTS });
  const nothing = { partId: null, url: null, size: null, mediaType: null, sha256: null, width: null, height: null, arrivedAt: null, removedAt: null };
  d.insert('attachment', d.newId(), { ...nothing, ...fields, itemId, commentId, authorId: d.actor.id, at: d.now });
  // of a remark people are told as of words; what it came with only its readers learn
  if (host.item !== undefined) tellOfFile(itemId, fields.name, d);
}

function tellOfFile(itemId: string, name: string, d: Deciding): void {
  const item = d.need('item', itemId);
  d.enter('attachment.add', { itemId }, { file: name });
  const own = d.find('part', partId(itemId, d.actor.id));
  if (own && own.takenBackAt === null) d.set('part', own.id, signOfLife(d));
  for (const personId of listeners(item, 'said', giversOf(item, d), d))
    if (!isToldOfOne(personId, itemId, d)) d.notify(personId, 'file', itemId, { title: item.title, text: name });
}

/** Several photos of one leak are one thing to be told of: until the first was read, the next say nothing. */
const isToldOfOne = (personId: string, itemId: string, d: Deciding): boolean =>
  d
    .by('notice', 'personId', personId)
    .some(
      (notice) => notice.kind === 'file' && notice.itemId === itemId && notice.byId === d.actor.id && notice.readAt === null && notice.withdrawnAt === null,
    );

/** Whoever put it there, or may change what it is with, takes it away; its bytes are kept for a while. */
export const removeAttachment = commandKind({
  name: 'attachment.remove',
  payload: z.object({ attachment: Id }),
  asks: ({ attachment }, d) => askToRemoveFrom(d.find('attachment', attachment), d),
  decide({ attachment: id }, d) {
    const { itemId, name, removedAt, commentId } = d.need('attachment', id);
    if (removedAt !== null) return;
    d.set('attachment', id, { removedAt: d.now });
    if (commentId || !d.find('item', itemId)) return;
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
