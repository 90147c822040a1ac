import { v5 } from 'uuid';
import type { Alarm } from '../model/alarm.ts';
import { noticeId } from '../model/notice-id.ts';

/** The command by which a reminder rings for a moment: it happens once, whoever tries it. */
export const ringId = (alarmId: string, at: string): string => v5(`ring:${at}`, alarmId);

/** The notice of it: the same on the server and on a device that rings by itself. */
export const reminderNoticeId = ({ id, itemId, personId }: Pick<Alarm, 'id' | 'itemId' | 'personId'>, at: string): string =>
  noticeId('reminder', itemId, personId, ringId(id, at));
