import type { Attachment } from '@kotiva/core';
import { useSubmit } from '@/store/live-house.tsx';
import { t } from '@/words';
import type { FileHost } from './host.ts';

/** Taking a file away, with the way back; null: it is not one’s to take. */
export function useRemove(attachment: Attachment, host: FileHost): (() => void) | null {
  const submit = useSubmit();
  if (!host.mayRemove(attachment)) return null;
  return () => void submit('attachment.remove', { attachment: attachment.id }, { words: t('said.fileRemoved', { name: attachment.name }), undo: true });
}
