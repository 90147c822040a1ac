import { allows, finding, type Attachment } from '@kotiva/core';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';

/** Taking a file away, with the way back; null: it is not one's own, and the item is not one’s to change. */
export function useRemove(attachment: Attachment): (() => void) | null {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const may = attachment.authorId === me.id || allows({ permission: 'change', item: attachment.itemId }, me, finding(rows));
  if (!may) return null;
  return () => void submit('attachment.remove', { attachment: attachment.id }, { words: t('said.fileRemoved', { name: attachment.name }), undo: true });
}
