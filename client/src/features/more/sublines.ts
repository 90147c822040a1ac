import { isHere } from '@kotiva/core';
import { placesOf } from '@/store/here.ts';
import { useOpenHouse } from '@/store/store.ts';
import { t, type WordKey } from '@/words';

/** What is to be found there, in a line: how many, or what it is for. */
export function useSubline(path: string): string {
  const { rows, me, house } = useOpenHouse();
  switch (path) {
    case '/people':
      return t('more.sub.people', { count: rows.all('person').filter(isHere).length });
    case '/places':
      return t('more.sub.places', { count: placesOf(rows).length });
    case '/labels':
      return t('more.sub.tags', { count: rows.all('tag').filter((tag) => !tag.removedAt).length });
    case '/archived':
      return t('more.sub.archived', { count: rows.all('list').filter(({ filedAt, removedAt }) => filedAt !== null && removedAt === null).length });
    case '/settings/you':
      return me.name;
    case '/settings/house':
      return t('house.summary', { name: house.name, zone: house.zone });
    default:
      return SAID[path] ? t(SAID[path]) : '';
  }
}

const SAID: Record<string, WordKey> = {
  '/chores': 'more.sub.chores',
  '/projects': 'more.sub.projects',
  '/templates': 'more.sub.templates',
  '/round': 'more.sub.round',
  '/share-out': 'more.sub.shareOut',
  '/load': 'load.sub',
  '/activity': 'more.sub.activity',
  '/looking-back': 'more.sub.back',
  '/weekly-review': 'more.sub.review',
  '/shelf': 'more.sub.shelf',
  '/removed': 'removed.means',
  '/settings/device': 'more.sub.device',
  '/settings/notifications': 'more.sub.notifications',
  '/settings/data': 'more.sub.data',
  '/phones': 'phones.sub',
};
