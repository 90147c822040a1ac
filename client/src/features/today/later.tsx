import { addDays, byDay, calendarDateOf, stepsThatWait, type AgendaEntry } from '@kotiva/core';
import { View } from 'react-native';
import { ViewsOnToday } from '@/features/views';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Fold, GroupHead } from '@/ui';
import { t } from '@/words';
import { headDay } from '@/words/dates.ts';
import { Rows } from './today-groups.tsx';
import { TodayRow } from './today-row.tsx';

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
  const waiting = at('waiting');
  return (
    <View>
      <ViewsOnToday />
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
