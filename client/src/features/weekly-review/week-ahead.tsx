import { addDays, calendarDateOf, isHere, loadAhead, type DayLoad, type Person } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Band, Button, GroupHead, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { dayMonth, startOfWeek } from '@/words/dates.ts';

/** What everybody has next week, against the hours they have; of others only for managers. */
export function WeekAhead() {
  const { rows, me, house } = useOpenHouse();
  const router = useRouter();
  const now = useNow();
  const from = addDays(startOfWeek(calendarDateOf(now, house.zone)), 7);
  const manages = me.role === 'manager';
  const people = useMemo(
    () =>
      rows
        .all('person')
        .filter((person) => isHere(person) && person.role !== 'outside' && (manages || person.id === me.id))
        .sort((a, b) => a.name.localeCompare(b.name)),
    [rows, manages, me.id],
  );
  const loads = useMemo(() => {
    const ids = people.map(({ id }) => id);
    return loadAhead(ids, now, house, rows);
  }, [people, now, house, rows]);
  const weekOf = (person: Person): DayLoad[] => loads.get(person.id)!.filter(({ date }) => date >= from && date < addDays(from, 7));
  return (
    <View>
      <GroupHead title={t('review.ahead')} sub={t('review.aheadMeans', { from: dayMonth(from), to: dayMonth(addDays(from, 6)) })} />
      {people.map((person) => (
        <PersonsWeek key={person.id} person={person} days={weekOf(person)} />
      ))}
      <View className="flex-row flex-wrap gap-2 px-4 pt-4">
        <Button onPress={() => router.push('/load')}>{t('review.load')}</Button>
        {manages ? <Button onPress={() => router.push('/share-out')}>{t('shareOut.title')}</Button> : null}
      </View>
    </View>
  );
}

function PersonsWeek({ person, days }: { person: Person; days: readonly DayLoad[] }) {
  const minutes = days.reduce((sum, day) => sum + day.minutes, 0);
  const capacity = days.some((day) => day.capacity !== null) ? days.reduce((sum, day) => sum + (day.capacity ?? 0), 0) : null;
  const isOver = capacity !== null && minutes > capacity;
  return (
    <View className="min-h-14 flex-row items-center gap-3 border-b border-line px-4 py-2">
      <PersonMark looks={person} />
      <Txt face="medium" numberOfLines={1} className="min-w-0 grow shrink basis-0">
        {person.name}
      </Txt>
      {capacity ? <Band share={minutes / capacity} width={96} height={10} /> : null}
      <Txt size={15} tone={isOver ? 'waits' : 'muted'} className="min-w-32 text-right">
        {capacity === null ? sayDuration(minutes) : t('common.of', { done: sayDuration(minutes), of: sayDuration(capacity) })}
      </Txt>
    </View>
  );
}
