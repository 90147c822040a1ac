import { type Ahead, type CalendarEntry } from '@kotiva/core';
import { View } from 'react-native';
import { ItemRow } from '@/features/item';
import { usePlace } from '@/store/store.ts';
import { Empty, GroupHead, Row } from '@/ui';
import { t, together } from '@/words';
import { headDay } from '@/words/dates.ts';
import { sayRuleShort } from '@/words/rules.ts';
import { AheadMenu } from './ahead-menu.tsx';

/** What stands on a day: checked off in place, opened by a tap. */
export function DayList({ date, entries, today }: { date: string; entries: readonly CalendarEntry[]; today: string }) {
  return (
    <View>
      <GroupHead title={headDay(date, today)} count={entries.length} />
      {entries.length === 0 ? <Empty words={t('calendar.nothing')} /> : null}
      {entries.map((entry) =>
        entry.kind === 'ahead' ? (
          <AheadRow key={`${entry.ahead.series.id} ${entry.ahead.occurrence.recurrenceId}`} ahead={entry.ahead} time={entry.time} />
        ) : (
          <ItemRow key={`${entry.kind} ${entry.item.id}`} item={entry.item} sub={entry.kind === 'plan' ? t('calendar.planned') : undefined} />
        ),
      )}
    </View>
  );
}

/** One that is still to come: whose turn it would be, and what can be done about this one alone. */
function AheadRow({ ahead, time }: { ahead: Ahead; time: string | null }) {
  const { rows } = usePlace();
  const { series, assigned } = ahead;
  const names = assigned.personIds.flatMap((id) => {
    const person = rows.get('person', id);
    return typeof person === 'string' ? [] : [person.name];
  });
  const who = names.length > 0 ? together(names) : assigned.turn.kind === 'nobody' ? t('calendar.nobodyCan') : null;
  return (
    <Row title={series.title} sub={[who, sayRuleShort(series)].filter(Boolean).join(' · ')} right={time ?? undefined} tools={<AheadMenu ahead={ahead} />} />
  );
}
