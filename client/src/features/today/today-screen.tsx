import { calendarDateOf, cappedDay, isLate, remaining, type AgendaEntry, type DayBand, type Item } from '@kotiva/core';
import { Redirect } from 'expo-router';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { useCaptureHere } from '@/features/capture';
import { nameOf, Selecting } from '@/features/item';
import { RoundOnToday } from '@/features/on-round';
import { Screen } from '@/features/shell';
import { SortBar } from '@/features/sort';
import { useAgenda } from '@/store/agenda.ts';
import { useArrangement } from '@/store/arrangement.ts';
import { FilterBar, FilterButton, useFilterHere } from '@/features/filter-here';
import { HereOnToday } from '@/features/here';
import { narrowed, useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, useWide } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { sayToday } from '@/words/dates.ts';
import { DaySheet, useDaySheet } from './day-sheet.tsx';
import { HintsOnToday } from './hints-on-today.tsx';
import { Later } from './later.tsx';
import { OfPerson } from './of-person.tsx';
import { PartAlone, usePartAlone } from './part-alone.tsx';
import { TodayGroups } from './today-groups.tsx';
import { useLanding } from './use-landing.ts';

/** The day: on a phone mine by its parts, on a wide screen everyone's side by side; narrowed, that of one person. */
export function TodayScreen() {
  const { me } = useOpenHouse();
  const wide = useWide();
  const narrow = useNarrowed();
  const landing = useLanding(useAgenda());
  const part = usePartAlone();
  useCaptureToday(narrow);
  if (landing) return <Redirect href={`/lists/${landing}`} />;
  if (part) return <PartAlone part={part} />;
  if (narrow !== null && narrow !== me.id) return <Narrowed personId={narrow} />;
  if (wide && narrow === null) return <Everyone />;
  return <Mine />;
}

/** What is typed here is for today; narrowed to somebody, it is for them. */
function useCaptureToday(narrow: string | null): void {
  const { rows, me, house } = useOpenHouse();
  const other = narrow !== null && narrow !== me.id ? narrow : undefined;
  const words = other ? t('capture.todayFor', { name: nameOf(rows, other) }) : t('capture.today');
  const { takenOver } = useFilterHere();
  useCaptureHere({
    ...takenOver,
    plan: calendarDateOf(useNow(), house.zone),
    person: other ?? takenOver.person,
    words: [words, takenOver.words].filter(Boolean).join(' '),
  });
}

function Everyone() {
  const { house } = useOpenHouse();
  const agenda = useAgenda();
  const { isOn, meets } = useFilterHere();
  const everything = useDaySheet();
  const bands = isOn ? everything.map((band) => narrowedBand(band, meets)) : everything;
  const entries = entriesIn(bands);
  const done = entries.filter(({ where }) => where === 'done').length;
  return (
    <Screen
      title={sayToday(calendarDateOf(useNow(), house.zone), false)}
      sub={t('sheet.counts', { todo: entries.length - done, done })}
      actions={<FilterButton items={entriesIn(everything).map(({ item }) => item)} />}
    >
      {isOn ? <FilterBar items={entriesIn(everything).map(({ item }) => item)} /> : null}
      <RoundOnToday />
      <HereOnToday />
      <HintsOnToday />
      <SortBar agenda={agenda} />
      <DaySheet bands={bands} />
      <GroupHead title={t('sheet.mine')} />
      <Later agenda={agenda} />
    </Screen>
  );
}

const entriesIn = (bands: readonly DayBand[]) => bands.flatMap(({ cells }) => Object.values(cells).flat());

function narrowedBand(band: DayBand, meets: (item: Item) => boolean): DayBand {
  const cells = Object.fromEntries(Object.entries(band.cells).map(([part, entries]) => [part, entries.filter(({ item }) => meets(item))]));
  return { ...band, cells: cells as DayBand['cells'] };
}

function Mine() {
  const { me, house } = useOpenHouse();
  const wide = useWide();
  const dispatch = useDispatch();
  const everything = useAgenda();
  const { isOn, meets } = useFilterHere();
  const agenda = isOn ? everything.filter(({ item }) => meets(item)) : everything;
  const { arranged } = useArrangement('today');
  const date = calendarDateOf(useNow(), house.zone);
  const day = cappedDay(agenda, arranged.cap, date);
  // what is offered next does not stand among the coming days as well
  const later = agenda.filter((entry) => entry !== day.next && (house.hintsListId === null || entry.item.listId !== house.hintsListId));
  const counts = useDayInALine(agenda);
  const filterBar = isOn ? <FilterBar items={everything.map(({ item }) => item)} /> : null;
  const title = sayToday(date, !wide);
  return (
    <Screen title={title} sub={counts} strip actions={wide ? <Button onPress={() => dispatch(narrowed(me.id))}>{t('sheet.everyone')}</Button> : undefined}>
      <Selecting>
        {wide ? (
          <View className="flex-row">
            <View className="grow basis-0">
              {filterBar}
              <RoundOnToday />
              <HereOnToday />
              <HintsOnToday />
              <TodayGroups agenda={agenda} day={day} />
            </View>
            <View className="grow basis-0 border-l border-line">
              <SortBar agenda={agenda} />
              <Later agenda={later} isOpen />
            </View>
          </View>
        ) : (
          <>
            {filterBar}
            <RoundOnToday />
            <HereOnToday />
            <HintsOnToday />
            <SortBar agenda={agenda} />
            <TodayGroups agenda={agenda} day={day} />
            <Later agenda={later} />
          </>
        )}
      </Selecting>
    </Screen>
  );
}

/** "8 things, 3 late, 2 h 10, 4 done". */
function useDayInALine(agenda: readonly AgendaEntry[]): string {
  const { house } = useOpenHouse();
  const now = useNow();
  const todo = agenda.filter(({ where }) => where === 'today');
  const late = todo.filter(({ item }) => isLate(item, now, house.zone)).length;
  const minutes = todo.reduce((sum, { item, part }) => sum + remaining(item, part.percent), 0);
  const done = agenda.filter(({ where }) => where === 'done').length;
  return [
    t('today.todo', { count: todo.length }),
    late > 0 ? t('today.late', { count: late }) : null,
    minutes > 0 ? sayDuration(minutes) : null,
    done > 0 ? t('today.doneCount', { count: done }) : null,
  ]
    .filter(Boolean)
    .join(', ');
}

function Narrowed({ personId }: { personId: string }) {
  const { house } = useOpenHouse();
  const wide = useWide();
  const dispatch = useDispatch();
  return (
    <Screen
      title={sayToday(calendarDateOf(useNow(), house.zone), !wide)}
      sub={house.name}
      strip
      actions={wide ? <Button onPress={() => dispatch(narrowed(personId))}>{t('sheet.everyone')}</Button> : undefined}
    >
      <OfPerson personId={personId} />
    </Screen>
  );
}
