import { v5 } from 'uuid';
import type { Attachment } from './attachment-schema.ts';

export type { Attachment } from './attachment-schema.ts';

export const FILE_NAME_MAX = 200;
/** So many are with one item. */
export const MOST_ATTACHMENTS = 200;
/** Bytes of one file and of a house, where the host sets nothing else. */
export const MOST_FILE_BYTES = 25 * 1024 * 1024;
export const MOST_HOUSE_BYTES = 2 * 1024 * 1024 * 1024;
/** So long a file is kept once nothing leads to it any more. */
export const FILES_KEPT_DAYS = 30;

/** So many of a chore's files go along to those to come. */
export const MOST_CHORE_FILES = 20;

/** A file that goes along with a chore, as it is with one of them. */
export const choreFileId = (itemId: string, fileId: string): string => v5(`file:${fileId}`, itemId);

/** Which of a chore's files this one is: it itself, or what it was laid out from; null: it is this one's alone. */
export const choreFileOf = ({ id, itemId }: Pick<Attachment, 'id' | 'itemId'>, fileIds: readonly string[]): string | null =>
  fileIds.find((fileId) => fileId === id || choreFileId(itemId, fileId) === id) ?? null;

/** It is simply with its item: asked for by no check-off, said with no remark. A row from before there were any has none. */
export const isPlain = ({ partId, commentId }: Pick<Attachment, 'partId' | 'commentId'>): boolean => partId === null && (commentId ?? null) === null;

/** It is kept elsewhere. */
export const isAddress = ({ url }: Pick<Attachment, 'url'>): boolean => url !== null;
export const isComing = ({ url, arrivedAt }: Pick<Attachment, 'url' | 'arrivedAt'>): boolean => url === null && arrivedAt === null;
/** It can be shown as a picture. */
export const isPicture = ({ width }: Pick<Attachment, 'width'>): boolean => width !== null;

/** Invisible and direction-changing characters, and what a path is made of. */
const UNFIT = /[\u0000-\u001f\u007f-\u009f\u200b-\u200f\u2028-\u202e\u2066-\u2069\ufeff]/g;

/** Half of a pair of UTF-16. */
const LONE = /\p{Surrogate}/gu;

/**
 * What a file is called here: the last piece of a path, on one line, its ending kept where it has to be cut. Empty where nothing of a
 * name is left.
 */
export function fileNameOf(given: string): string {
  const name = (given.split(/[/\\]/).at(-1) ?? '').replace(UNFIT, ' ').replace(/\s+/g, ' ').trim().replace(/^\.+$/, '');
  if (name.length <= FILE_NAME_MAX) return name.replace(LONE, '�');
  const ending = /\.[A-Za-z0-9]{1,12}$/.exec(name)?.[0] ?? '';
  return `${name.slice(0, FILE_NAME_MAX - ending.length - 1)}…${ending}`.replace(LONE, '�');
}

/** Oldest first. */
export const byAdded = (a: Attachment, b: Attachment): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1);
