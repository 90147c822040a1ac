import { v5 } from 'uuid';
import type { NoticeKind } from './notice-schema.ts';

/** One notice of a kind about an item for a person from one command. */
export const noticeId = (kind: NoticeKind, itemId: string | null, personId: string, commandId: string): string =>
  v5(`${kind}:${itemId}:${personId}`, commandId);
