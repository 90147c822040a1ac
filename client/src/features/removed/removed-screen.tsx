import { addDays, calendarDateOf, isWithdrawn, daysBetween, KEPT_DAYS, type Item, type List } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { nameOf, useGiveAll } from '@/features/item';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Icon, LongRows, Menu, Row } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { ForGoodSheet } from './for-good-sheet.tsx';
import { WhereToSheet } from './where-to-sheet.tsx';

/** What was removed in the last 30 days, newest first, each with its way back. */
export function RemovedScreen() {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const giveAll = useGiveAll();
  const [asked, setAsked] = useState<Item | null>(null);
  const [going, setGoing] = useState<readonly Item[] | null>(null);
  const since = addDays(calendarDateOf(now, house.zone), -KEPT_DAYS);
  const isRecent = ({ removedAt }: { removedAt: string | null }) => removedAt !== null && removedAt.slice(0, 10) >= since;
  const newestFirst = (a: Item | List, b: Item | List) => (a.removedAt! > b.removedAt! ? -1 : 1);
  const lists = rows.all('list').filter(isRecent).sort(newestFirst);
  // a step that went with its item comes back with it
  const items = rows
    .all('item')
    .filter((item) => item.purgedAt === null && isRecent(item) && !wentAlong(item) && !wentByItself(item))
    .sort(newestFirst);
  function wentAlong({ parentId, removedAt }: Item): boolean {
    const parent = parentId ? rows.find('item', parentId) : undefined;
    return parent !== undefined && parent.removedAt === removedAt;
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
          <View className="flex-row items-center">
            <Button
              kind="quiet"
              onPress={() => {
                const ids = items.map(({ id }) => id);
                giveAll('item.bringBack', ids, (some) => ({ items: some }), t('said.broughtBackAll', { count: ids.length }));
              }}
            >
              {t('removed.all')}
            </Button>
            <Menu label={t('removed.more')} entries={[{ key: 'all', words: t('removed.allForGood'), late: true, onPress: () => setGoing(items) }]} />
          </View>
        </GroupHead>
      ) : null}
      <View>
        <LongRows rows={items} keyOf={(item) => item.id}>
          {(item) => (
            <Row
              title={item.title}
              sub={[listOf(item), nameOf(rows, item.makerId), sub(item.removedAt!)].filter(Boolean).join(' · ')}
              trail={
                <View className="flex-row items-center">
                  <Button
                    kind="quiet"
                    label={t('removed.bringBack', { title: item.title })}
                    onPress={() => (isListGone(item) ? setAsked(item) : bringBack(item))}
                  >
                    {t('item.bringBack')}
                  </Button>
                  <Menu
                    label={t('row.more', { title: item.title })}
                    entries={[{ key: 'forGood', words: t('removed.forGood'), late: true, onPress: () => setGoing([item]) }]}
                  />
                </View>
              }
            />
          )}
        </LongRows>
      </View>
      {asked ? (
        <WhereToSheet
          item={asked}
          onChoose={(list, section) => {
            bringBack(asked, { list, section });
            setAsked(null);
          }}
          onClose={() => setAsked(null)}
        />
      ) : null}
      {going ? <ForGoodSheet items={going} onClose={() => setGoing(null)} /> : null}
    </Screen>
  );

  function bringBack(item: Item, to: { list?: string | null; section?: string | null } = {}): void {
    submit('item.bringBack', { items: [item.id], ...to }, { words: t('said.broughtBack', { title: item.title }), undo: true });
  }

  /** It lay in a list that was removed since: there nobody would see it. */
  function isListGone({ listId, parentId }: Item): boolean {
    const list = listId && parentId === null ? rows.find('list', listId) : undefined;
    return list !== undefined && list.removedAt !== null;
  }

  function listOf({ listId }: Item): string | null {
    const list = listId ? rows.find('list', listId) : undefined;
    return list?.name ?? null;
  }
}
