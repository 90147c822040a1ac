import { deedsBy, type BackGrouping, type Deed } from '@kotiva/core/views/looking-back';
import { calendarDateOf } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { personOf, useOpenItem } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Choice, Fold, GroupHead, LongRows, PersonMark, Row } from '@/ui';
import { t } from '@/words';
import { headDay, sayInstant } from '@/words/dates.ts';

const GROUPINGS = ['day', 'person', 'list', 'tag'] as const;

/** What was done, under what it has in common; and whose was late, how late. */
export function Deeds({ deeds }: { deeds: readonly Deed[] }) {
  const { me } = useOpenHouse();
  const [grouping, setGrouping] = useState<BackGrouping>('day');
  const heading = useDeedHeading(grouping);
  const late = deeds
    .filter(({ isOnTime, personId }) => isOnTime === false && (me.role === 'manager' || personId === me.id))
    .sort((a, b) => b.daysLate - a.daysLate);
  return (
    <>
      {late.length > 0 ? (
        <View>
          <GroupHead title={t('back.late')} count={late.length} sub={t('back.lateMeans')} />
          <LongRows rows={late} keyOf={({ part }) => part.id}>
            {(deed) => <DeedRow deed={deed} isLateSaid />}
          </LongRows>
        </View>
      ) : null}
      <View className="px-4 pb-1 pt-5 print:hidden">
        <Choice
          label={t('back.group')}
          value={grouping}
          options={GROUPINGS.map((value) => ({ value, words: t(`back.group.${value}`) }))}
          onChange={setGrouping}
        />
      </View>
      {deedsBy(deeds, grouping).map(({ key, deeds: some }, nth) => (
        <Fold key={`${grouping} ${key}`} words={`${heading(key)}  ${some.length}`} startsOpen={nth === 0}>
          <LongRows rows={some} keyOf={({ part }) => part.id}>
            {(deed) => <DeedRow deed={deed} />}
          </LongRows>
        </Fold>
      ))}
    </>
  );
}

function useDeedHeading(grouping: BackGrouping): (key: string | null) => string {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  return (key) => {
    if (key === null) return grouping === 'person' ? t('person.someone') : t(`group.without.${grouping as 'list' | 'tag'}`);
    if (grouping === 'day') return headDay(key, today);
    const row = rows.find(grouping, key);
    return row === undefined ? t('group.without.list') : grouping === 'tag' ? `#${row.name}` : row.name;
  };
}

function DeedRow({ deed: { item, part, personId, isOnTime, daysLate }, isLateSaid = false }: { deed: Deed; isLateSaid?: boolean }) {
  const { rows, house, me } = useOpenHouse();
  const now = useNow();
  const open = useOpenItem();
  const person = personOf(rows, personId);
  const list = item.listId ? rows.find('list', item.listId) : undefined;
  const mayTell = me.role === 'manager' || personId === me.id;
  const late = isOnTime === false && mayTell ? (daysLate === 0 ? t('back.lateSameDay') : t('back.lateDays', { count: daysLate })) : null;
  return (
    <Row
      lead={person ? <PersonMark looks={person} size={28} /> : undefined}
      title={item.title}
      sub={[person?.name, list?.name ?? null, sayInstant(part.completedAt!, now, house.zone)].filter(Boolean).join(' · ')}
      right={isLateSaid && late ? late : undefined}
      rightTone="late"
      onPress={() => open(item.id)}
    />
  );
}
