import { byArrival, calendarDateOf, FOLLOW_UP_GROUPS, followUpsOf, isLate, narrowed, type FollowUp, type FollowUpGroup } from '@kotiva/core';
import isEqual from 'fast-deep-equal';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { FilterBar, FilterButton, useFilterHere } from '@/features/filter-here';
import { givenParts, nameOf, sayStrands, strandsOf, useOpenItem } from '@/features/item';
import { Screen } from '@/features/shell';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import { Empty, GroupHead, Heading, LongRows, Row, ScrollRoot, Thread, Txt, useWide, type Tone } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { FollowUpAction } from './action.tsx';
import { MyWaits } from './my-waits.tsx';
import { ALL, NarrowButton, type Narrowing } from './narrow.tsx';
import { FollowUpMenu } from './row-menu.tsx';
import { columnsOf, Weave, WeaveHead, type WeaveGroup } from './weave.tsx';
import { sayWhy } from './words.ts';

const TONES: Record<FollowUpGroup, Tone> = { 'needs-you': 'waits', late: 'late', silent: 'ink', 'in-hand': 'ink', back: 'pine' };

/** What is out with others, by what it asks of you. */
export function FollowUpScreen() {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const wide = useWide();
  const narrow = useNarrowed();
  const [narrowing, setNarrowing] = useState<Narrowing>(ALL);
  const everything = followUpsOf(me.id, rows, now, house.zone);
  const { isOn, meets } = useFilterHere();
  const all = narrowed(everything, { ...narrowing, personId: narrow }).filter(({ item }) => meets(item));
  // another order than by what it asks goes across the groups
  const groups: WeaveGroup[] = (
    narrowing.sort === 'urgency'
      ? FOLLOW_UP_GROUPS.map((group) => ({ title: t(`follow.group.${group}`), tone: TONES[group], rows: all.filter((one) => one.group === group) }))
      : [{ title: t(`narrow.sort.${narrowing.sort}`), tone: 'ink' as const, rows: all }]
  ).filter((group) => group.rows.length > 0);
  const people = rows
    .all('person')
    .filter((person) => person.id !== me.id)
    .sort(byArrival);
  const holding = new Set(
    all
      .filter(({ group }) => group !== 'back')
      .flatMap(({ parts }) => parts.filter((part) => part.standing !== 'completed' && !part.passedTo).map((part) => part.personId)),
  );
  const out = all.filter(({ group }) => group !== 'back').length;
  const sub = t('follow.out', { things: t('follow.things', { count: out }), people: t('follow.people', { count: holding.size }) });
  const items = everything.map(({ item }) => item);
  const filterBar = isOn ? <FilterBar items={items} /> : null;
  const narrowButton = everything.length > 0 ? <NarrowButton narrowing={narrowing} onChange={setNarrowing} /> : null;
  const filterButton = everything.length > 0 || isOn ? <FilterButton items={items} /> : null;
  if (wide && everything.length > 0)
    return (
      <Woven
        sub={sub}
        groups={groups}
        people={columnsOf(all, people)}
        narrow={narrowButton}
        filter={filterButton}
        filterBar={filterBar}
        waits={
          <>
            <StandingIn />
            <MyWaits personId={narrow} />
          </>
        }
      />
    );
  return (
    <Screen title={t('nav.followUp')} sub={out > 0 ? sub : undefined} strip>
      {filterButton ? (
        <View className="flex-row justify-end px-2 pt-1">
          {filterButton}
          {narrowButton}
        </View>
      ) : null}
      {filterBar}
      {groups.length === 0 ? <Empty words={t(everything.length > 0 ? 'narrow.nothing' : 'follow.empty')} /> : null}
      {groups.map(({ title, tone, rows: inGroup }) => (
        <View key={title}>
          <GroupHead title={title} count={inGroup.length} tone={tone} />
          <LongRows rows={inGroup} keyOf={({ item }) => item.id}>
            {(followUp) => <FollowUpRow followUp={followUp} />}
          </LongRows>
        </View>
      ))}
      <StandingIn />
      <MyWaits personId={narrow} />
    </Screen>
  );
}

/** What needs those one stands in for, while they are away. */
const StandingIn = memo(function StandingIn() {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const today = calendarDateOf(now, house.zone);
  const absent = rows.by('timeAway', 'standInId', me.id).filter((away) => away.removedAt === null && away.from <= today && today <= away.to);
  return absent.map((away) => {
    const needed = followUpsOf(away.personId, rows, now, house.zone).filter(({ group }) => group === 'needs-you');
    return (
      <View key={away.id} role="region" aria-label={t('follow.standIn', { name: nameOf(rows, away.personId), until: dayMonth(away.to) })}>
        <GroupHead title={t('follow.standIn', { name: nameOf(rows, away.personId), until: dayMonth(away.to) })} count={needed.length} tone="waits" />
        {needed.map((followUp) => (
          <FollowUpRow key={followUp.item.id} followUp={followUp} standingIn />
        ))}
        {needed.length === 0 ? (
          <View className="px-4 pb-2">
            <Txt tone="muted">{t('follow.standInNothing')}</Txt>
          </View>
        ) : null}
      </View>
    );
  });
});

/** On a phone each item is one row with its own short thread. */
const FollowUpRow = memo(function FollowUpRow({ followUp, standingIn = false }: { followUp: FollowUp; standingIn?: boolean }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const open = useOpenItem();
  const { item } = followUp;
  const parts = givenParts(rows, item.id);
  return (
    <Row
      title={item.title}
      sub={sayWhy(followUp, rows, now, house)}
      wraps
      onPress={() => open(item.id)}
      trail={
        <View className="flex-row items-center gap-2">
          <Thread
            strands={strandsOf(item, parts, rows)}
            each={item.policy === 'each'}
            late={followUp.group === 'late' || (followUp.group !== 'back' && isLate(item, now, house.zone))}
            label={sayStrands(item, parts, rows)}
          />
          <FollowUpAction followUp={followUp} standingIn={standingIn} />
          {standingIn ? null : <FollowUpMenu followUp={followUp} />}
        </View>
      }
    />
  );
}, isEqual);

interface WovenProps {
  sub: string;
  groups: readonly WeaveGroup[];
  people: Parameters<typeof Weave>[0]['people'];
  narrow: React.ReactNode;
  filter: React.ReactNode;
  filterBar: React.ReactNode;
  waits: React.ReactNode;
}

function Woven({ sub, groups, people, narrow, filter, filterBar, waits }: WovenProps) {
  const [scrolls, setScrolls] = useState<Element | null>(null);
  return (
    <View className="h-full">
      <View className="flex-row items-end border-b border-line px-3 pb-3 pt-5">
        <View className="grow shrink basis-0 flex-row items-end pl-4 pr-2">
          <View className="grow shrink basis-0">
            <Heading level={1}>{t('nav.followUp')}</Heading>
            <Txt size={15} tone="muted">
              {sub}
            </Txt>
          </View>
          {filter}
        </View>
        <WeaveHead people={people} />
        <View className="w-40 items-end">{narrow}</View>
      </View>
      {filterBar ? <View className="bg-surface px-3">{filterBar}</View> : null}
      <View ref={(view) => setScrolls(view as unknown as Element | null)} className="min-h-0 grow shrink basis-0 overflow-y-auto bg-surface px-3 pb-16">
        <ScrollRoot.Provider value={scrolls}>
          {groups.length === 0 ? <Empty words={t('narrow.nothing')} /> : null}
          <Weave groups={groups} people={people} />
          {waits}
        </ScrollRoot.Provider>
      </View>
    </View>
  );
}
