import { dependsOn, type Reader, type Wait } from '@kotiva/core';

/** What is waited for: an item by its title as it is now, else as it was said. */
export function wordsOfWait(wait: Wait, rows: Reader): string {
  const on = dependsOn(wait);
  if (on === null) return wait.words;
  const first = rows.find('item', on);
  return `“${first === undefined ? wait.words : first.title}”`;
}
