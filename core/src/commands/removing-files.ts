import { FILES_KEPT_DAYS } from '../model/attachment.ts';
import { epochOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';

const KEPT_MS = FILES_KEPT_DAYS * 86_400_000;

/** What it was with is gone: nothing leads to its files any more. */
export function removeFilesOf(hostId: string, d: Deciding, isOne: (file: { commentId: string | null }) => boolean = () => true): void {
  for (const file of d.by('attachment', 'itemId', hostId)) if (file.removedAt === null && isOne(file)) d.set('attachment', file.id, { removedAt: d.now });
}

/** What it was with is back: so are those that went with it, as long as they are kept. */
export function restoreFilesOf(hostId: string, goneAt: string, d: Deciding): void {
  if (epochOf(d.now) - epochOf(goneAt) > KEPT_MS) return;
  for (const { id, removedAt } of d.by('attachment', 'itemId', hostId)) if (removedAt === goneAt) d.set('attachment', id, { removedAt: null });
}
