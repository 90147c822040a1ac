import { calendarDateOf } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useCaptureHere } from '@/features/capture';
import { Screen } from '@/features/shell';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Heading, IconButton, useWide } from '@/ui';
import { t } from '@/words';
import { calendarWords, dayMonth, monthAfter } from '@/words/dates.ts';
import { DayList } from './day-list.tsx';
import { MonthGrid } from './month-grid.tsx';
import { useDays } from './use-days.ts';

/** A month at a time: what is done and due, what one means to do, and the chores still to come with whose turn each would be. */
export function CalendarScreen() {
  const { house } = usePlace();
  const now = useNow();
  const wide = useWide();
  const router = useRouter();
  const today = calendarDateOf(now, house.zone);
  const [chosen, setChosen] = useState(today);
  const [month, setMonth] = useState(today.slice(0, 7));
  const days = useDays(`${month}-01`, `${month}-31`);
  useCaptureHere({ plan: chosen, words: t('capture.onDay', { day: dayMonth(chosen) }) });
  const words = calendarWords();
  const turn = (months: number) => {
    const next = monthAfter(month, months);
    setMonth(next);
    setChosen(next === today.slice(0, 7) ? today : `${next}-01`);
  };
  const grid = <MonthGrid month={month} days={days} chosen={chosen} today={today} onChoose={setChosen} />;
  const list = <DayList date={chosen} entries={days.get(chosen) ?? []} today={today} />;
  return (
    <Screen
      title={t('nav.calendar')}
      strip
      actions={
        <Button kind="quiet" onPress={() => router.push('/chores')}>
          {t('chores.title')}
        </Button>
      }
    >
      <View className="flex-row items-center px-2">
        <IconButton icon="left" label={words.previous} onPress={() => turn(-1)} />
        <View className="grow" aria-live="polite">
          <Heading level={2}>{words.month(`${month}-01`)}</Heading>
        </View>
        <IconButton icon="right" label={words.next} onPress={() => turn(1)} />
      </View>
      {wide ? (
        <View className="flex-row gap-6 px-4">
          <View className="min-w-0 grow shrink basis-0">{grid}</View>
          <View className="w-[420px]">{list}</View>
        </View>
      ) : (
        <>
          <View className="px-2">{grid}</View>
          {list}
        </>
      )}
    </Screen>
  );
}
