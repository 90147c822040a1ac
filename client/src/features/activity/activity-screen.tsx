import { ACTIVITY_GROUPS, calendarDateOf, isHere, type Activity, type ActivityGroup } from '@kotiva/core';
import { useGlobalSearchParams } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { FilterBar, FilterButton } from '@/features/filter-here';
import { nameOf, personOf, sayEntry, useOpenItem } from '@/features/item';
import { Screen } from '@/features/shell';
import { ask, type Answer } from '@/store/api.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Empty, Fold, GroupHead, LabelledChoice, PersonMark, Row, Txt } from '@/ui';
import { t } from '@/words';
import { headDay, sayInstant } from '@/words/dates.ts';
import { sayProblem } from '@/words/problems.ts';

interface ActivityPage {
  entries: Activity[];
  titles: Record<string, string>;
  next: string | null;
}

const wordsOf = (group: ActivityGroup | 'all'): string => t(`activity.${group}`);

/** What happened in the house, or in one list, newest first and by page; narrowed to a person or to one kind of thing. */
export function ActivityScreen() {
  const { rows } = useOpenHouse();
  // `item` in an address opens that item's sheet
  const {
    list: listId,
    about: itemId,
    person: startsWith,
    narrow,
  } = useGlobalSearchParams<{ list?: string; about?: string; person?: string; narrow?: string }>();
  const [person, setPerson] = useState(startsWith ?? '');
  const [group, setGroup] = useState<ActivityGroup | 'all'>('all');
  const query = [
    listId ? `list=${listId}` : null,
    itemId ? `item=${itemId}` : null,
    person ? `person=${person}` : null,
    group === 'all' ? null : `group=${group}`,
    narrow ? `filter=${encodeURIComponent(narrow)}` : null,
  ]
    .filter(Boolean)
    .join('&');
  const list = listId ? rows.find('list', listId) : undefined;
  const item = itemId ? rows.find('item', itemId) : undefined;
  const about = item !== undefined ? item.title : list !== undefined ? list.name : t('activity.house');
  const people = rows
    .all('person')
    .filter(isHere)
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <Screen title={t('activity.title')} sub={about} actions={itemId ? undefined : <FilterButton items={null} />}>
      {narrow ? <FilterBar items={null} /> : null}
      <Fold words={t('activity.shown', { what: wordsOf(group), name: person ? nameOf(rows, person) : t('activity.everyone') })}>
        <View className="gap-3 px-4 pb-2">
          <Choice<ActivityGroup | 'all'>
            label={t('activity.kind')}
            value={group}
            options={(['all', ...ACTIVITY_GROUPS] as const).map((value) => ({ value, words: wordsOf(value) }))}
            onChange={setGroup}
          />
          <LabelledChoice
            label={t('activity.who')}
            value={person}
            options={[{ value: '', words: t('activity.everyone') }, ...people.map(({ id, name }) => ({ value: id, words: name }))]}
            onChange={setPerson}
          />
        </View>
      </Fold>
      <Entries key={query} query={query} />
    </Screen>
  );
}

function Entries({ query }: { query: string }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const open = useOpenItem();
  const { entries, titles, next, said, load } = usePages(house.id, query);
  const today = calendarDateOf(now, house.zone);
  const days = byDay(entries, house.zone);
  return (
    <View>
      {said ? <Txt className="px-4 py-4">{said}</Txt> : null}
      {!said && entries.length === 0 && next === null ? <Empty words={t('activity.nothing')} /> : null}
      {[...days].map(([day, some]) => (
        <View key={day}>
          <GroupHead title={headDay(day, today)} />
          {some.map((entry) => {
            const by = personOf(rows, entry.actorId);
            const title = entry.itemId ? titles[entry.itemId] : undefined;
            const entryList = entry.listId ? rows.find('list', entry.listId) : undefined;
            return (
              <Row
                key={entry.id}
                lead={by ? <PersonMark looks={by} size={28} /> : undefined}
                title={title ?? (entryList === undefined ? house.name : entryList.name)}
                sub={[
                  t('activity.line', { name: entry.actorId ? nameOf(rows, entry.actorId) : t('activity.clock'), what: sayEntry(entry) }),
                  sayInstant(entry.at, now, house.zone),
                ].join(' · ')}
                wraps
                onPress={title ? () => open(entry.itemId) : undefined}
              />
            );
          })}
        </View>
      ))}
      {next !== null && entries.length > 0 ? (
        <View className="items-start px-4 py-3">
          <Button onPress={load}>{t('activity.older')}</Button>
        </View>
      ) : null}
    </View>
  );
}

/** By the day they came in, which is their order: what was done without a network days ago is news of today, and says when it was done. */
function byDay(entries: readonly Activity[], zone: string): Map<string, Activity[]> {
  const days = new Map<string, Activity[]>();
  for (const entry of entries) {
    const day = calendarDateOf(entry.arrivedAt, zone);
    days.set(day, [...(days.get(day) ?? []), entry]);
  }
  return days;
}

/** Pages one after the other; without a network what was read stays, and why there is no more is said. */
function usePages(houseId: string, query: string) {
  const [entries, setEntries] = useState<Activity[]>([]);
  const [titles, setTitles] = useState<Record<string, string>>({});
  const [next, setNext] = useState<string | null>('');
  const [said, setSaid] = useState<string | null>(null);
  const load = useCallback(
    (before: string | null) => {
      const show = (answer: Answer<ActivityPage>) => {
        setSaid(answer.ok ? null : answer.problem.code === 'offline' ? t('activity.offline') : sayProblem(answer.problem));
        if (!answer.ok) return;
        const page = answer.value;
        setEntries((known) => (before ? [...known, ...page.entries] : page.entries));
        setTitles((known) => ({ ...known, ...page.titles }));
        setNext(page.next);
      };
      void ask<ActivityPage>('GET', `/houses/${houseId}/activity?${query}${before ? `&before=${before}` : ''}`).then(show);
    },
    [houseId, query],
  );
  useEffect(() => load(null), [load]);
  return { entries, titles, next, said, load: () => load(next) };
}
