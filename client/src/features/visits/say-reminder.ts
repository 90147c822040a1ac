import type { Notice } from '@kotiva/core';
import { either, t, together } from '@/words';

const listOf = (value: unknown): string[] => (Array.isArray(value) ? value.map(String) : []);

/** What rang, as one sentence: where, and everything that belongs there. */
export function sayReminders(notices: readonly Pick<Notice, 'params'>[]): string {
  const titles = notices.map(({ params }) => t('place.titled', { title: String(params.title ?? '') }));
  const { place, on } = notices[0]!.params;
  const unknown = notices.flatMap(({ params }) => listOf(params.unknown));
  const what = together(titles);
  if (typeof place !== 'string') return t('place.rings', { what });
  const said = t(on === 'leave' ? 'place.ringsLeaving' : 'place.ringsHere', { place, what });
  return unknown.length === 0 ? said : `${said} ${t('place.unknownStill', { names: either([...new Set(unknown)]) })}`;
}
