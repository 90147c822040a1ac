import { addDays, calendarDateOf, type CalendarEntry, type Item } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { useCaptureHere } from '@/features/capture';
import { FilterBar, FilterButton, useFilterHere } from '@/features/filter-here';
import { Screen } from '@/features/shell';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Menu, useWide } from '@/ui';
import { t } from '@/words';
import { dayMonth, monthAfter, startOfWeek } from '@/words/dates.ts';
import { Beside } from './beside.tsx';
import { useChosenDay, VIEWS, type CalendarViewName } from './chosen-day.ts';
import { DayHours } from './day-hours.tsx';
import { DayList, DaysList } from './day-list.tsx';
import { marksOf } from './day-marks.ts';
import { CalendarDrag } from './drag.tsx';
import { MonthGrid } from './month-grid.tsx';
import { Turning } from './turning.tsx';
import { useDays } from './use-days.ts';
import { useMove } from './use-move.tsx';
import { WeekGrid } from './week-grid.tsx';

/** So many days the list goes on for. */
const LISTED = 60;

const daysFrom = (date: string, count: number): string[] => Array.from({ length: count }, (_, nth) => addDays(date, nth));

function datesOf(view: CalendarViewName, chosen: string): string[] {
  if (view === 'day') return [chosen];
  if (view === 'week') return daysFrom(startOfWeek(chosen), 7);
  if (view === 'list') return daysFrom(chosen, LISTED);
  return daysFrom(`${chosen.slice(0, 7)}-01`, 31).filter((date) => date.startsWith(chosen.slice(0, 7)));
}

/** The day one comes to by turning over: a month begins with its first day, or today. */
function turned(view: CalendarViewName, chosen: string, by: number, today: string): string {
  if (view === 'day') return addDays(chosen, by);
  if (view === 'week') return addDays(startOfWeek(chosen), by * 7);
  if (view === 'list') return addDays(chosen, by * LISTED);
  const month = monthAfter(chosen.slice(0, 7), by);
  return month === today.slice(0, 7) ? today : `${month}-01`;
}

const daysMeeting = (days: ReadonlyMap<string, CalendarEntry[]>, meets: (entry: CalendarEntry) => boolean): Map<string, CalendarEntry[]> =>
  new Map([...days].map(([date, entries]) => [date, entries.filter(meets)] as const).filter(([, entries]) => entries.length > 0));

const itemsOn = (days: ReadonlyMap<string, CalendarEntry[]>): Item[] =>
  [...days.values()].flat().flatMap((entry) => (entry.kind === 'slot' ? entry.items : entry.kind === 'ahead' ? [] : [entry.item]));

/** What is done and due, what one means to do, time one booked, and the chores still to come with whose turn each would be. */
export function CalendarScreen() {
  const { rows, me, house } = useOpenHouse();
  const narrowed = useNarrowed();
  const today = calendarDateOf(useNow(), house.zone);
  const wide = useWide();
  const { view, chosen, setView, choose } = useChosenDay(today);
  const [hour, setHour] = useState<string | null>(null);
  const { move, question } = useMove();
  const dates = datesOf(view, chosen);
  const { days: everything, reached } = useDays('calendar', dates[0]!, dates.at(-1)!);
  const filterHere = useFilterHere();
  const days = filterHere.isOn ? daysMeeting(everything, filterHere.meetsOnDay) : everything;
  const items = itemsOn(everything);
  const marks = useCallback((date: string) => marksOf(date, narrowed, rows, house), [narrowed, rows, house]);
  const at = view === 'day' && hour ? hour : null;
  const { takenOver } = filterHere;
  useCaptureHere({
    ...takenOver,
    plan: at ? `${chosen}T${at}` : chosen,
    words: [t('capture.onDay', { day: at ? `${dayMonth(chosen)} ${at}` : dayMonth(chosen) }), takenOver.words].filter(Boolean).join(' '),
  });
  const common = { days, marksOf: marks, today };
  const entries = days.get(chosen) ?? [];
  const list = (
    <DayList
      date={chosen}
      today={today}
      entries={entries}
      marks={marks(chosen)}
      onMove={move}
      empty={t(filterHere.isOn ? 'filter.nothingHere' : 'calendar.nothing')}
    />
  );
  return (
    <Screen
      title={t('nav.calendar')}
      strip
      actions={
        <>
          <FilterButton items={items} />
          <Ways isManager={me.role === 'manager'} />
        </>
      }
    >
      {filterHere.isOn ? <FilterBar items={items} /> : null}
      <View className="px-4 pt-3">
        <Choice label={t('calendar.view')} value={view} options={VIEWS.map((value) => ({ value, words: t(`calendar.view.${value}`) }))} onChange={setView} />
      </View>
      <Turning view={view} dates={dates} onTurn={(by) => choose(turned(view, chosen, by, today))} />
      <BeyondLine reached={reached} />
      <CalendarDrag onMove={move}>
        {view === 'month' ? (
          <Beside wide={wide} list={list}>
            <MonthGrid month={chosen.slice(0, 7)} chosen={chosen} onChoose={choose} {...common} />
          </Beside>
        ) : view === 'week' && wide ? (
          <View className="gap-4 px-4">
            <WeekGrid dates={dates} chosen={chosen} onChoose={choose} {...common} />
            {list}
          </View>
        ) : view === 'day' ? (
          <DayHours date={chosen} today={today} entries={entries} marks={marks(chosen)} hour={hour} onHour={setHour} onMove={move} />
        ) : (
          <DaysList dates={dates} onMove={move} onlyFilled={view === 'list'} {...common} />
        )}
      </CalendarDrag>
      {question}
    </Screen>
  );
}

/** Further screens that belong to it; in a menu where there is no room for their names. */
function Ways({ isManager }: { isManager: boolean }) {
  const router = useRouter();
  const wide = useWide();
  const ways = [
    { key: '/chores', words: t('chores.title'), onPress: () => router.push('/chores') },
    { key: '/load', words: t('load.title'), onPress: () => router.push('/load') },
    ...(isManager ? [{ key: '/share-out', words: t('shareOut.title'), onPress: () => router.push('/share-out') }] : []),
  ];
  if (!wide) return <Menu label={t('calendar.more')} entries={ways} />;
  return (
    <View className="flex-row">
      {ways.map(({ key, words, onPress }) => (
        <Button key={key} kind="quiet" onPress={onPress}>
          {words}
        </Button>
      ))}
    </View>
  );
}
