import type { Notice, Person } from '@kotiva/core';
import { NOTICE_WORDS } from '@kotiva/core/words/en';

const listed = (names: readonly string[]): string => new Intl.ListFormat('en-GB', { type: 'conjunction' }).format(names);

/** The sentence of a notice for its reader, outside the application. */
export function sayNotice({ kind, params }: Notice, by: Person | null): string {
  const pattern = NOTICE_WORDS[`notice.${kind}`];
  return pattern.replace(/\{(\w+)\}/g, (_slot, name: string) => {
    if (name === 'name' && params['name'] === undefined) return by?.name ?? '';
    const value = params[name];
    return Array.isArray(value) ? listed(value) : String(value ?? '');
  });
}

/** What stands below it: the message, the question, a word that it comes late. */
export function sayBelow({ params }: Notice): string {
  const said = [params['message'], params['text'], params['reason'], params['question']].find((value) => typeof value === 'string' && value.trim() !== '');
  return [typeof said === 'string' ? said : '', params['late'] === true ? NOTICE_WORDS['notice.late'] : ''].filter(Boolean).join(' · ');
}
