import { minutesOn, type CalendarEntry } from '@kotiva/core';
import { View } from 'react-native';
import { Band, GroupHead, Txt } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { headDay } from '@/words/dates.ts';
import { sayMarks, type DayMarks } from './day-marks.ts';

/** A day's name, what makes it other than the rest, and its load: the band with its figures. */
export function DayHead({ date, today, entries, marks }: { date: string; today: string; entries: readonly CalendarEntry[]; marks: DayMarks }) {
  const minutes = minutesOn(entries);
  return (
    <View className={marks.off ? 'bg-sunk' : ''}>
      <GroupHead title={headDay(date, today)} count={entries.length || undefined} sub={sayMarks(marks).join(' · ') || undefined} />
      {minutes > 0 ? (
        <View className="flex-row items-center gap-2 px-4 pb-2">
          <Band share={marks.capacity ? minutes / marks.capacity : 1} width={96} height={8} />
          <Txt size={13} tone="muted">
            {marks.capacity === null ? sayDuration(minutes) : t('calendar.loadOf', { load: sayDuration(minutes), of: sayDuration(marks.capacity) })}
          </Txt>
        </View>
      ) : null}
    </View>
  );
}
