import { addDays, byDay, calendarDateOf, stepsThatWait, type AgendaEntry } from '@kotiva/core';
import { View } from 'react-native';
import { ViewsOnToday } from '@/features/views';
import { useArrangement } from '@/store/arrangement.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Fold, GroupHead } from '@/ui';
import { t } from '@/words';
import { headDay } from '@/words/dates.ts';
import { Rows } from './rows.tsx';
import { TodayRow } from './today-row.tsx';

/** So many of the coming days are in sight. */
const IN_SIGHT = 3;

interface AheadProps {
  entries: readonly AgendaEntry[];
  today: string;
}

/** What is not for now: the coming days, later, what waits, the shelf, and what is done. */
export function Later({ agenda, isOpen = false }: { agenda: readonly AgendaEntry[]; isOpen?: boolean }) {
  const { rows, me, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const at = (where: AgendaEntry['where']) => agenda.filter((entry) => entry.where === where);
  const fold = (words: string, entries: readonly AgendaEntry[]) =>
    entries.length === 0 ? null : (
      <Fold words={words}>
        <Rows entries={entries} />
      </Fold>
    );
  const ahead = at('ahead');
  // who set a limit for the day sees no more than that
  const isCapped = useArrangement('today').arranged.cap !== null;
  const waiting = at('waiting');
  return (
    <View>
      <ViewsOnToday />
      {isOpen || isCapped ? (
        ahead.length > 0 ? (
          <Fold words={t('today.ahead', { count: ahead.length })} startsOpen={isOpen}>
            <Days entries={ahead} today={today} />
          </Fold>
        ) : null
      ) : (
        <AheadOpenALittle entries={ahead} today={today} />
      )}
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

function Days({ entries, today }: AheadProps) {
  return byDay(entries, addDays(today, 1)).map(({ date, entries: ofDay }) => (
    <View key={date}>
      <GroupHead title={headDay(date, today)} count={ofDay.length} />
      <Rows entries={ofDay} />
    </View>
  ));
}

/** What comes next, each with its day; the rest of the seven days is one line. */
function AheadOpenALittle({ entries, today }: AheadProps) {
  if (entries.length === 0) return null;
  const inOrder = byDay(entries, addDays(today, 1)).flatMap((day) => day.entries);
  const rest = inOrder.slice(IN_SIGHT);
  return (
    <View>
      <GroupHead title={t('today.aheadTitle')} count={entries.length} />
      <Rows entries={inOrder.slice(0, IN_SIGHT)} />
      {rest.length > 0 ? (
        <Fold words={t('today.aheadRest', { count: rest.length })}>
          <Days entries={rest} today={today} />
        </Fold>
      ) : null}
    </View>
  );
}
