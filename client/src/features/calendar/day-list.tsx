import type { CalendarEntry } from '@kotiva/core';
import { View } from 'react-native';
import { Empty } from '@/ui';
import { t } from '@/words';
import { DayHead } from './day-head.tsx';
import type { DayMarks } from './day-marks.ts';
import { EntryRow } from './entry-row.tsx';
import { keyOf } from './entry.ts';
import type { Move } from './use-move.tsx';

interface DayListProps {
  date: string;
  today: string;
  entries: readonly CalendarEntry[];
  marks: DayMarks;
  onMove: Move;
  /** Said where nothing stands on it; left out in a row of days. */
  empty?: string;
}

/** A day with all that stands on it, one row each. */
export function DayList({ date, today, entries, marks, onMove, empty }: DayListProps) {
  return (
    <View>
      <DayHead date={date} today={today} entries={entries} marks={marks} />
      {entries.length === 0 && empty ? <Empty words={empty} /> : null}
      {entries.map((entry) => (
        <EntryRow key={keyOf(entry)} entry={entry} day={entries} place={`list ${date}`} onMove={onMove} />
      ))}
    </View>
  );
}

/** Days one below the other. `onlyFilled`: those on which nothing stands are left out. */
export function DaysList({
  dates,
  days,
  marksOf,
  today,
  onMove,
  onlyFilled = false,
}: {
  dates: readonly string[];
  days: ReadonlyMap<string, CalendarEntry[]>;
  marksOf: (date: string) => DayMarks;
  today: string;
  onMove: Move;
  onlyFilled?: boolean;
}) {
  const shown = onlyFilled ? dates.filter((date) => days.has(date)) : dates;
  if (shown.length === 0) return <Empty words={t('calendar.nothingAhead')} />;
  return shown.map((date) => <DayList key={date} date={date} today={today} entries={days.get(date) ?? []} marks={marksOf(date)} onMove={onMove} />);
}
