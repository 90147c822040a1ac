import { choreFileOf, isPlain, mayChangeChore, type Attachment } from '@kotiva/core';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import type { MenuEntry } from '@/ui';
import { t } from '@/words';

/** Of a chore's file: whether it comes with the later ones too, changed by a tap. Null: it is of no chore, or not one's own to change. */
export function useGoesAlong(file: Attachment): MenuEntry | null {
  const { id, itemId, arrivedAt, name } = file;
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const item = rows.find('item', itemId);
  const series = item === undefined || item.seriesId === null ? undefined : rows.find('series', item.seriesId);
  if (series === undefined || !isPlain(file) || arrivedAt === null || !mayChangeChore(series, me, rows)) return null;
  const goes = choreFileOf({ id, itemId }, series.fileIds ?? []) !== null;
  const payload = { item: itemId, ...(goes ? { withoutFiles: [id] } : { files: [id] }) };
  const said = t(goes ? 'said.fileStays' : 'said.fileGoesAlong', { name, title: series.title });
  return {
    key: 'along',
    words: t(goes ? 'files.stays' : 'files.goesAlong'),
    onPress: () => void submit('chore.fromNowOn', payload, { words: said, undo: true }),
  };
}
