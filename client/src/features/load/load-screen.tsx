import { isHere, loadAhead, type DayLoad, type Person } from '@kotiva/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import { Empty, Fold, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { sayHours } from '@/words/amounts.ts';
import { dayMonth } from '@/words/dates.ts';
import { Hatch, LoadChart } from './load-chart.tsx';
import { LoadTable } from './load-table.tsx';

/** Four weeks ahead, per person and day: a chart with its figures, and the same as a table. Others' loads are for managers. */
export function LoadScreen() {
  const { rows, me, house } = useOpenHouse();
  const narrowed = useNarrowed();
  const now = useNow();
  const manages = me.role === 'manager';
  const people = useMemo(
    () =>
      rows
        .all('person')
        .sort((a, b) => a.name.localeCompare(b.name))
        .filter((person) => isHere(person) && person.role !== 'outside' && (manages || person.id === me.id) && (narrowed === null || person.id === narrowed)),
    [rows, manages, me.id, narrowed],
  );
  const loads = useMemo(
    () =>
      loadAhead(
        people.map(({ id }) => id),
        now,
        house,
        rows,
      ),
    [people, now, house, rows],
  );
  return (
    <Screen title={t('load.title')} sub={t('load.sub')} strip={manages}>
      <Legend />
      {people.length === 0 ? <Empty words={t('load.nobody')} /> : null}
      <View className="lg:flex-row lg:flex-wrap">
        {people.map((person) => (
          <OfPerson key={person.id} person={person} days={loads.get(person.id)!} />
        ))}
      </View>
      {people.length > 0 ? (
        <Fold words={t('load.table')}>
          <LoadTable people={people} loads={loads} />
        </Fold>
      ) : null}
    </Screen>
  );
}

/** What the signs mean, once for all charts. */
const Legend = () => (
  <View className="flex-row flex-wrap gap-x-5 gap-y-1 px-4 pt-3">
    <Sign words={t('load.legend.hours')}>
      <View className="h-0.5 w-5 bg-ink" />
    </Sign>
    <Sign words={t('load.legend.over')}>
      <View className="h-3 w-3 border-2 border-cloudberry" />
    </Sign>
    <Sign words={t('load.legend.away')}>
      <Hatch />
    </Sign>
  </View>
);

const Sign = ({ words, children }: { words: string; children: React.ReactNode }) => (
  <View className="flex-row items-center gap-2">
    <View aria-hidden>{children}</View>
    <Txt size={15} tone="muted">
      {words}
    </Txt>
  </View>
);

const weeksOf = (days: readonly DayLoad[]): DayLoad[][] => [0, 7, 14, 21].map((from) => days.slice(from, from + 7));

function sayWeek(days: readonly DayLoad[]): string {
  const load = sayHours(days.reduce((sum, { minutes }) => sum + minutes, 0));
  const from = dayMonth(days[0]!.date);
  if (days.every(({ capacity }) => capacity === null)) return t('load.weekPlain', { from, load });
  return t('load.week', { from, load, capacity: sayHours(days.reduce((sum, { capacity }) => sum + (capacity ?? 0), 0)) });
}

function OfPerson({ person, days }: { person: Person; days: readonly DayLoad[] }) {
  const weeks = weeksOf(days).map(sayWeek);
  return (
    <View className="gap-2 px-4 py-3 lg:w-1/2">
      <View className="flex-row items-center gap-2">
        <PersonMark looks={person} />
        <Txt face="medium">{person.name}</Txt>
      </View>
      <LoadChart days={days} colour={person.colour} label={t('load.chart', { name: person.name, weeks: weeks.join('; ') })} />
      <View className="flex-row flex-wrap gap-x-4" aria-hidden>
        {weeks.map((words) => (
          <Txt key={words} size={13} tone="muted">
            {words}
          </Txt>
        ))}
      </View>
    </View>
  );
}
