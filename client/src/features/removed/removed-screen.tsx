import { addDays, calendarDateOf, isWithdrawn, daysBetween, KEPT_DAYS, type Item, type List } from '@kotiva/core';
import { View } from 'react-native';
import { nameOf, useGiveAll } from '@/features/item';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Icon, LongRows, Row } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';

/** What was removed in the last 30 days, newest first, each with its way back. */
export function RemovedScreen() {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const giveAll = useGiveAll();
  const since = addDays(calendarDateOf(now, house.zone), -KEPT_DAYS);
  const isRecent = ({ removedAt }: { removedAt: string | null }) => removedAt !== null && removedAt.slice(0, 10) >= since;
  const newestFirst = (a: Item | List, b: Item | List) => (a.removedAt! > b.removedAt! ? -1 : 1);
  const lists = rows.all('list').filter(isRecent).sort(newestFirst);
  // a step that went with its item comes back with it
  const items = rows
    .all('item')
    .filter((item) => isRecent(item) && !wentAlong(item) && !wentByItself(item))
    .sort(newestFirst);
  function wentAlong({ parentId, removedAt }: Item): boolean {
    const parent = parentId ? rows.get('item', parentId) : 'absent';
    return typeof parent !== 'string' && parent.removedAt === removedAt;
  }
  /** One of a chore that was missed, or that went again with the check-off it came of. */
  function wentByItself(item: Item): boolean {
    return item.missedAt !== null || (item.seriesId !== null && isWithdrawn(item, rows));
  }
  const left = (removedAt: string) => KEPT_DAYS - daysBetween(removedAt, calendarDateOf(now, house.zone));
  const sub = (removedAt: string) => t('removed.when', { when: sayInstant(removedAt, now, house.zone), count: left(removedAt) });

  return (
    <Screen title={t('removed.title')} sub={t('removed.means')}>
      {lists.length + items.length === 0 ? <Empty words={t('removed.nothing')} /> : null}
      {lists.length > 0 ? <GroupHead title={t('nav.lists')} count={lists.length} /> : null}
      {lists.map((list) => (
        <Row
          key={list.id}
          lead={<Icon name={list.icon} size={22} colour={list.colour} />}
          title={list.name}
          sub={sub(list.removedAt!)}
          trail={
            <Button
              kind="quiet"
              label={t('removed.bringBack', { title: list.name })}
              onPress={() => void submit('list.remove', { list: list.id, removed: false }, { words: t('said.broughtBack', { title: list.name }), undo: true })}
            >
              {t('item.bringBack')}
            </Button>
          }
        />
      ))}
      {items.length > 0 ? (
        <GroupHead title={t('removed.items')} count={items.length}>
          <Button
            kind="quiet"
            onPress={() => {
              const ids = items.map(({ id }) => id);
              giveAll('item.bringBack', ids, (some) => ({ items: some }), t('said.broughtBackAll', { count: ids.length }));
            }}
          >
            {t('removed.all')}
          </Button>
        </GroupHead>
      ) : null}
      <View>
        <LongRows rows={items} keyOf={(item) => item.id}>
          {(item) => (
            <Row
              title={item.title}
              sub={[listOf(item), nameOf(rows, item.makerId), sub(item.removedAt!)].filter(Boolean).join(' · ')}
              trail={
                <Button
                  kind="quiet"
                  label={t('removed.bringBack', { title: item.title })}
                  onPress={() => void submit('item.bringBack', { items: [item.id] }, { words: t('said.broughtBack', { title: item.title }), undo: true })}
                >
                  {t('item.bringBack')}
                </Button>
              }
            />
          )}
        </LongRows>
      </View>
    </Screen>
  );

  function listOf({ listId }: Item): string | null {
    const list = listId ? rows.get('list', listId) : 'absent';
    return typeof list === 'string' ? null : list.name;
  }
}
