import type { Notice, Person } from '@kotiva/core';
import { NOTICE_WORDS } from '@kotiva/core/words/en';
import { noticeKey } from '@kotiva/core/words/notice-key';

const listed = (names: readonly string[]): string => new Intl.ListFormat('en-GB', { type: 'conjunction' }).format(names);

/** "Fri 4 Dec 16:00" of a day; anything else as it is. */
function sayValue(value: unknown): string {
  const text = String(value ?? '');
  if (!/^\d{4}-\d\d-\d\d(?:T\d\d:\d\d)?$/.test(text)) return text;
  const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' }).format(
    new Date(`${text.slice(0, 10)}T00:00Z`),
  );
  return `${day.replace(',', '')}${text.slice(10).replace('T', ' ')}`;
}

/** The sentence of a notice for its reader, outside the application. */
export function sayNotice({ kind, params }: Notice, by: Person | null): string {
  const pattern = NOTICE_WORDS[noticeKey({ kind, params })];
  return pattern.replace(/\{(\w+)\}/g, (_slot, name: string) => {
    if (name === 'name' && params['name'] === undefined) return by?.name ?? '';
    const value = params[name];
    return Array.isArray(value) ? listed(value) : sayValue(value);
  });
}

/** What stands below it: the message, the question, a word that it comes late. */
export function sayBelow({ params }: Notice): string {
  const said = [params['message'], params['text'], params['reason'], params['question']].find((value) => typeof value === 'string' && value.trim() !== '');
  return [typeof said === 'string' ? said : '', params['late'] === true ? NOTICE_WORDS['notice.late'] : ''].filter(Boolean).join(' · ');
}
