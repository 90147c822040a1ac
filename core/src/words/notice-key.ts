import type { Notice } from '../model/notice-schema.ts';
import { NOTICE_WORDS } from './en.ts';

export type NoticeKey = Extract<keyof typeof NOTICE_WORDS, `notice.${string}`>;

/** The sentence for a notice: of a change, the one that says what was changed, and from what to what. */
export function noticeKey({ kind, params }: Pick<Notice, 'kind' | 'params'>): NoticeKey {
  if (kind === 'removed') return Number(params['count'] ?? 0) > 0 ? 'notice.removed.many' : 'notice.removed';
  if (kind === 'added') return Number(params['count']) > 1 ? 'notice.added.many' : 'notice.added';
  if (kind !== 'changed' || typeof params['field'] !== 'string') return `notice.${kind}`;
  const key = `notice.changed.${params['field']}${isNone(params['to']) ? '.cleared' : isNone(params['from']) ? '.set' : ''}`;
  return key in NOTICE_WORDS ? (key as NoticeKey) : 'notice.changed';
}

const isNone = (value: unknown): boolean => value === null || value === undefined || value === false;
