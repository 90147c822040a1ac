import { allows, isFieldKey, type BoardBy, type Person, type Reader } from '@kotiva/core';
import type { CaptureContext } from '@/features/capture';
import { t } from '@/words';

/** What the line takes over from a column of a board; null where what is typed can’t be put into it. */
export function captureOfColumn(by: BoardBy, key: string | null, me: Person, rows: Reader): CaptureContext | null {
  if (key === null || isFieldKey(by)) return null;
  if (by === 'person') {
    const person = rows.find('person', key);
    return person === undefined ? null : { person: key, words: t('board.addFor', { name: person.name }) };
  }
  const section = by === 'section' ? rows.find('section', key) : undefined;
  const list = by === 'list' ? rows.find('list', key) : section && rows.find('list', section.listId);
  if (list === undefined || !allows({ permission: 'add', list: list.id }, me, rows)) return null;
  return { list: list.id, section: section?.id ?? null, words: t('board.addInto', { name: section?.name ?? list.name }) };
}
