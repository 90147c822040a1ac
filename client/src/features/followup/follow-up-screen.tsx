import { byArrival, FOLLOW_UP_GROUPS, followUpsOf, isLate, type FollowUp, type FollowUpGroup } from '@kotiva/core';
import { View } from 'react-native';
import { givenParts, sayStrands, strandsOf, useOpenItem } from '@/features/item';
import { Screen } from '@/features/shell';
import { useNarrowed, useNow, usePlace } from '@/store/store.ts';
import { Empty, GroupHead, Heading, Row, Thread, Txt, useWide, type Tone } from '@/ui';
import { t } from '@/words';
import { FollowUpAction } from './action.tsx';
import { columnsOf, Weave, WeaveHead, type WeaveGroup } from './weave.tsx';
import { sayWhy } from './words.ts';

const TONES: Record<FollowUpGroup, Tone> = { 'needs-you': 'waits', late: 'late', silent: 'ink', 'in-hand': 'ink', back: 'pine' };

/** What is out with others, by what it asks of you. */
export function FollowUpScreen() {
  const { rows, me, house } = usePlace();
  const now = useNow();
  const wide = useWide();
  const narrow = useNarrowed();
  const all = followUpsOf(me.id, rows, now, house.zone).filter(({ parts }) => narrow === null || parts.some((part) => part.personId === narrow));
  const groups: WeaveGroup[] = FOLLOW_UP_GROUPS.map((group) => ({
    title: t(`follow.group.${group}`),
    tone: TONES[group],
    rows: all.filter((one) => one.group === group),
  })).filter((group) => group.rows.length > 0);
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
  if (wide && groups.length > 0) return <Woven sub={sub} groups={groups} people={columnsOf(all, people)} />;
  return (
    <Screen title={t('nav.followUp')} sub={out > 0 ? sub : undefined} strip>
      {groups.length === 0 ? <Empty words={t('follow.empty')} /> : null}
      {groups.map(({ title, tone, rows: inGroup }) => (
        <View key={title}>
          <GroupHead title={title} count={inGroup.length} tone={tone} />
          {inGroup.map((followUp) => (
            <FollowUpRow key={followUp.item.id} followUp={followUp} />
          ))}
        </View>
      ))}
    </Screen>
  );
}

/** On a phone each item is one row with its own short thread. */
function FollowUpRow({ followUp }: { followUp: FollowUp }) {
  const { rows, house } = usePlace();
  const now = useNow();
  const open = useOpenItem();
  const { item } = followUp;
  const parts = givenParts(rows, item.id);
  return (
    <Row
      title={item.title}
      sub={sayWhy(followUp, rows, now, house)}
      onPress={() => open(item.id)}
      trail={
        <View className="flex-row items-center gap-2">
          <Thread
            strands={strandsOf(item, parts, rows)}
            each={item.policy === 'each'}
            late={followUp.group === 'late' || (followUp.group !== 'back' && isLate(item, now, house.zone))}
            label={sayStrands(item, parts, rows)}
          />
          <FollowUpAction followUp={followUp} />
        </View>
      }
    />
  );
}

function Woven({ sub, groups, people }: { sub: string; groups: readonly WeaveGroup[]; people: Parameters<typeof Weave>[0]['people'] }) {
  return (
    <View className="h-full">
      <View className="flex-row items-end border-b border-line px-3 pb-3 pt-5">
        <View className="grow shrink basis-0 pl-4">
          <Heading level={1}>{t('nav.followUp')}</Heading>
          <Txt size={15} tone="muted">
            {sub}
          </Txt>
        </View>
        <WeaveHead people={people} />
        <Txt size={15} tone="muted" className="w-28 pr-4 text-right">
          {t('follow.sorted')}
        </Txt>
      </View>
      <View className="min-h-0 grow shrink basis-0 overflow-y-auto bg-surface px-3 pb-16">
        <Weave groups={groups} people={people} />
      </View>
    </View>
  );
}
