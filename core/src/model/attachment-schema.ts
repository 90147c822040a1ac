import * as z from 'zod/mini';
import { FILE_NAME_MAX } from './attachment.ts';
import { Id, Instant, shared } from './row-schema.ts';

/** A file by its SHA-256, or the address of one kept elsewhere. It is read by whoever reads what it is with. */
export const Attachment = z.object({
  ...shared,
  /** What it is with: an item, an item of a template, a project, notes of a talk. */
  itemId: Id,
  /** The remark about its item that it was said with, and is read with; null: none. */
  commentId: z.nullable(Id),
  /** The part whose check-off asked for it; null: it is simply with the item. */
  partId: z.nullable(Id),
  authorId: Id,
  /** What it is called: one line without slashes. */
  name: z.string().check(z.minLength(1), z.maxLength(FILE_NAME_MAX)),
  /** Of something kept elsewhere, http or https; null: the file itself is kept. */
  url: z.nullable(z.string()),
  /** Bytes, as they were sent; null for an address. */
  size: z.nullable(z.number()),
  /** Media type (RFC 6838) by what is in it; null until it has arrived. */
  mediaType: z.nullable(z.string()),
  /** Lower-case hexadecimal, of the bytes as they were sent; null until they have arrived. */
  sha256: z.nullable(z.string()),
  /** Of a picture, upright, in pixels; null: it can't be shown as one. */
  width: z.nullable(z.number()),
  height: z.nullable(z.number()),
  at: Instant,
  /** When all of it had come; null: it is still coming. */
  arrivedAt: z.nullable(Instant),
  removedAt: z.nullable(Instant),
});
export type Attachment = z.infer<typeof Attachment>;
