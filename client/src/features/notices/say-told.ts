import type { Notice } from '@kotiva/core';
import { t, type WordKey } from '@/words';
import { slotsOf } from '@/words/problems.ts';

/** A notice as a sentence; a reminder says where it rang, if that was at a place. */
export function sayTold({ kind, params }: Notice, by: string): string {
  if (kind === 'reminder' && typeof params.place === 'string')
    return t(params.on === 'leave' ? 'notices.remindedLeaving' : 'notices.remindedAt', { place: params.place, title: String(params.title) });
  return t(`notice.${kind}` as WordKey, { name: by, ...slotsOf(params) });
}
