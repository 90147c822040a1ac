import { calendarDateOf, sortBy, type DayPart } from '@kotiva/core';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { useFilterHere } from '@/features/filter-here';
import { Screen } from '@/features/shell';
import { useAgenda } from '@/store/agenda.ts';
import { useArrangement } from '@/store/arrangement.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Labelled } from '@/ui';
import { t } from '@/words';
import { sayToday } from '@/words/dates.ts';
import { Rows } from './rows.tsx';

const PARTS: readonly DayPart[] = ['morning', 'day', 'evening', 'any'];

/** The part of the day the address asks for; null: the whole of it. */
export function usePartAlone(): DayPart | null {
  const { part } = useGlobalSearchParams<{ part?: string }>();
  return PARTS.find((one) => one === part) ?? null;
}

/** One part of the day and nothing else, whatever the limit of the day. */
export function PartAlone({ part }: { part: DayPart }) {
  const { rows, house } = useOpenHouse();
  const router = useRouter();
  const { arranged } = useArrangement('today');
  const { meets } = useFilterHere();
  const entries = useAgenda().filter((entry) => entry.where === 'today' && entry.dayPart === part && meets(entry.item));
  const day = sayToday(calendarDateOf(useNow(), house.zone), false);
  return (
    <Screen title={t(`dayPart.${part}`)} sub={`${day}, ${t('today.todo', { count: entries.length })}`}>
      <View className="items-start px-2 pt-1">
        <Button kind="quiet" onPress={() => router.navigate('/')}>
          {t('today.wholeDay')}
        </Button>
      </View>
      {entries.length === 0 ? <Empty words={t('today.nothingInPart')} /> : null}
      <Rows entries={sortBy(entries, arranged.sort, rows, arranged.isDescending)} detail={arranged.detail} />
    </Screen>
  );
}

/** In the ways to show Today: one part of the day, as a step from which Back leads to the whole. */
export function PartChoice({ close }: { close: () => void }) {
  const router = useRouter();
  return (
    <Labelled words={t('today.onePart')}>
      <View className="flex-row flex-wrap gap-2">
        {PARTS.map((part) => (
          <Button
            key={part}
            onPress={() => {
              close();
              router.push(`/?part=${part}`);
            }}
          >
            {t(`dayPart.${part}`)}
          </Button>
        ))}
      </View>
    </Labelled>
  );
}
