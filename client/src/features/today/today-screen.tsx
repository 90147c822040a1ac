import { addDays, agendaOf, byDay, byDayPart, calendarDateOf, stepsThatWait, wallClockOf, type DayPart, type Placed } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useCaptureHere } from '@/features/capture';
import { Screen } from '@/features/shell';
import { SortBar } from '@/features/sort';
import { useNarrowed, useNow, usePlace, usePlanView } from '@/store/store.ts';
import { Button, Empty, Fold, GroupHead, useWide } from '@/ui';
import { t } from '@/words';
import { headDay, sayToday } from '@/words/dates.ts';
import { OfPerson } from './of-person.tsx';
import { OrderedRows } from './ordered-rows.tsx';
import { TodayRow } from './today-row.tsx';

/** What is mine today by the parts of the day, what is to be sorted, and what comes after, closed away. */
export function TodayScreen() {
  const { rows, me, house } = usePlace();
  const now = useNow();
  const wide = useWide();
  const narrow = useNarrowed();
  const view = usePlanView();
  const today = calendarDateOf(now, house.zone);
  const agenda = agendaOf(view, rows);
  const at = (where: Placed['where']) => agenda.filter((entry) => entry.where === where);
  const counts = t('today.counts', { house: house.name, todo: at('today').length, done: at('done').length });
  useCaptureHere({ plan: today, words: t('capture.today') });

  return (
    <Screen title={sayToday(today, !wide)} sub={counts} strip>
      {narrow !== null && narrow !== me.id ? (
        <OfPerson personId={narrow} />
      ) : wide ? (
        <View className="flex-row">
          <View className="grow basis-0">
            <TodayGroups entries={at('today')} />
          </View>
          <View className="grow basis-0 border-l border-line">
            <SortBar agenda={agenda} />
            <Later at={at} isOpen />
          </View>
        </View>
      ) : (
        <>
          <SortBar agenda={agenda} />
          <TodayGroups entries={at('today')} />
          <Later at={at} />
        </>
      )}
    </Screen>
  );
}

/** Today by part of day; a part that is over is one line. */
function TodayGroups({ entries }: { entries: readonly Placed[] }) {
  const router = useRouter();
  const [ordering, setOrdering] = useState(false);
  const isOver = useIsOver();
  const groups = byDayPart(entries);
  return (
    <View>
      <View className="flex-row flex-wrap items-center px-2 pt-1">
        <Button kind="quiet" onPress={() => router.push('/fits')}>
          {t('fits.title')}
        </Button>
        {entries.length > 1 ? (
          <Button kind="quiet" tone="muted" onPress={() => setOrdering(!ordering)}>
            {t(ordering ? 'today.ordered' : 'today.order')}
          </Button>
        ) : null}
      </View>
      {entries.length === 0 ? <Empty words={t('today.nothing')} /> : null}
      {ordering ? (
        <OrderedRows entries={entries} />
      ) : (
        groups.map(({ part, entries: inPart }) =>
          isOver(part) ? (
            <Fold key={part} words={t('today.over', { part: t(`dayPart.${part}`), count: inPart.length })}>
              <Rows entries={inPart} />
            </Fold>
          ) : (
            <View key={part}>
              <GroupHead title={groups.length === 1 && part === 'any' ? t('today.today') : t(`dayPart.${part}`)} count={inPart.length} />
              <Rows entries={inPart} />
            </View>
          ),
        )
      )}
    </View>
  );
}

function useIsOver(): (part: DayPart) => boolean {
  const { house } = usePlace();
  const hour = wallClockOf(useNow(), house.zone).slice(11);
  return (part) => (part === 'morning' && hour >= house.dayParts.day) || (part === 'day' && hour >= house.dayParts.evening);
}

const Rows = ({ entries }: { entries: readonly Placed[] }) => entries.map((entry) => <TodayRow key={entry.item.id} entry={entry} />);

/** What is not for now: the coming days, later, what waits, the shelf, and what is done. */
function Later({ at, isOpen = false }: { at: (where: Placed['where']) => Placed[]; isOpen?: boolean }) {
  const { rows, me, house } = usePlace();
  const today = calendarDateOf(useNow(), house.zone);
  const fold = (words: string, entries: readonly Placed[]) =>
    entries.length === 0 ? null : (
      <Fold words={words}>
        <Rows entries={entries} />
      </Fold>
    );
  const ahead = at('ahead');
  const waiting = at('waiting');
  return (
    <View>
      {ahead.length > 0 ? (
        <Fold words={t('today.ahead', { count: ahead.length })} startsOpen={isOpen}>
          {byDay(ahead, addDays(today, 1)).map(({ date, entries }) => (
            <View key={date}>
              <GroupHead title={headDay(date, today)} count={entries.length} />
              <Rows entries={entries} />
            </View>
          ))}
        </Fold>
      ) : null}
      {waiting.length > 0 ? (
        <Fold words={t('today.waiting', { count: waiting.length })}>
          {waiting.map((entry) => (
            <TodayRow key={entry.item.id} entry={entry} sub={t('row.waits', { count: stepsThatWait(entry.item, me.id, rows) })} />
          ))}
        </Fold>
      ) : null}
      {fold(t('today.further', { count: at('further').length }), at('further'))}
      {fold(t('today.shelf', { count: at('shelf').length }), at('shelf'))}
      {fold(t('today.done', { count: at('done').length }), at('done'))}
    </View>
  );
}
