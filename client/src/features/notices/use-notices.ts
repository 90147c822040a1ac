import { noticeChoicesId, topicOf, type Notice } from '@kotiva/core';
import { useDeviceId } from '@/features/account';
import { useOpenHouse } from '@/store/store.ts';

/** What one was told, the newest first; a reminder bound to another device is that device's alone. */
export function useNotices(): Notice[] {
  const { rows, me } = useOpenHouse();
  const device = useDeviceId();
  const isHere = ({ params }: Notice): boolean => params.device === undefined || device === null || params.device === device;
  return rows
    .by('notice', 'personId', me.id)
    .filter((notice) => !notice.withdrawnAt && isHere(notice))
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1));
}

/** Those under the bell: what one chose not to be told there is left out. */
export function useBell(): Notice[] {
  const { rows, me } = useOpenHouse();
  const choices = rows.find('noticeChoices', noticeChoicesId(me.id));
  const topics = choices === undefined ? null : (choices.bell ?? null);
  const notices = useNotices();
  return topics === null ? notices : notices.filter(({ kind }) => topics.includes(topicOf(kind)));
}
