import { TITLE_MAX } from '@kotiva/core';

/** What was shared as an item: the first line is its title, the rest and the address its notes. Null where there is nothing. */
export function sharedItem({ title = '', text = '', url = '' }: { title?: string; text?: string; url?: string }): { title: string; notes?: string } | null {
  const lines = [...title.split('\n'), ...text.split('\n')].map((line) => line.trim()).filter((line, nth, all) => line !== '' && all.indexOf(line) === nth);
  const first = lines.shift() ?? url.trim();
  if (first === '') return null;
  const rest = [first.length > TITLE_MAX ? first : null, ...lines, url.trim() !== first && !text.includes(url.trim()) ? url.trim() : null];
  return { title: first.slice(0, TITLE_MAX), notes: rest.filter(Boolean).join('\n') || undefined };
}
