import { View } from 'react-native';
import { Heading, IconButton, useNarrow } from '@/ui';
import { t } from '@/words';
import { calendarWords, dayMonth } from '@/words/dates.ts';
import type { CalendarViewName } from './chosen-day.ts';

/** The span that is shown, between the ways to the one before and the one after. */
export function Turning({ view, dates, onTurn }: { view: CalendarViewName; dates: readonly string[]; onTurn: (by: number) => void }) {
  const words = calendarWords();
  const narrow = useNarrow();
  const span =
    view === 'month'
      ? words.month(dates[0]!)
      : view === 'day'
        ? dayMonth(dates[0]!)
        : t('away.range', { from: dayMonth(dates[0]!), to: dayMonth(dates.at(-1)!) });
  return (
    <View className="flex-row items-center px-2">
      <IconButton icon="left" label={t(`calendar.before.${view}`)} onPress={() => onTurn(-1)} />
      <View className="min-w-0 grow shrink basis-0" aria-live="polite">
        <Heading level={narrow ? 3 : 2}>{span}</Heading>
      </View>
      <IconButton icon="right" label={t(`calendar.after.${view}`)} onPress={() => onTurn(1)} />
    </View>
  );
}
