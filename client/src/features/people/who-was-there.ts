import type { MeetingNote, Reader } from '@kotiva/core';
import { nameOf } from '@/features/item';
import { together } from '@/words';

/** Everyone who was at a talk: whoever wrote its note was too. */
export const whoWasThere = ({ makerId, personIds }: MeetingNote, rows: Reader): string =>
  together([...new Set([makerId, ...personIds])].map((id) => nameOf(rows, id)));
