import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { IconButton } from './button.tsx';
import { Txt } from './text.tsx';

export interface CalendarWords {
  /** "November 2026" for a day of that month. */
  month(date: string): string;
  /** "M", "T", … from the day a week begins on. */
  weekdays: readonly string[];
  /** The whole date, for screen readers. */
  day(date: string): string;
  previous: string;
  next: string;
}

interface CalendarProps {
  /** Calendar dates, `2026-11-27`. */
  value: string | null;
  today: string;
  words: CalendarWords;
  /** Days of a month, by week: those before its first are null. */
  weeksOf(month: string): (string | null)[][];
  monthAfter(month: string, months: number): string;
  onChange: (date: string) => void;
}

/** A month to choose a day from. Weekends lie on another ground. */
export function Calendar({ value, today, words, weeksOf, monthAfter, onChange }: CalendarProps) {
  const [month, setMonth] = useState((value ?? today).slice(0, 7));
  return (
    <View className="max-w-[360px] gap-1" role="group" aria-label={words.month(`${month}-01`)}>
      <View className="flex-row items-center">
        <IconButton icon="left" label={words.previous} onPress={() => setMonth(monthAfter(month, -1))} />
        <Txt face="head" className="grow text-center" aria-live="polite">
          {words.month(`${month}-01`)}
        </Txt>
        <IconButton icon="right" label={words.next} onPress={() => setMonth(monthAfter(month, 1))} />
      </View>
      <WeekdayHeads weekdays={words.weekdays} />
      {weeksOf(month).map((week, row) => (
        <View key={row} className="flex-row">
          {week.map((date, column) => (
            <View key={column} className={`w-0 grow ${date && isWeekend(date) ? 'bg-sunk' : ''}`}>
              {date ? (
                <Pressable
                  role="button"
                  aria-label={words.day(date)}
                  aria-pressed={date === value}
                  onPress={() => onChange(date)}
                  className={`h-10 items-center justify-center rounded-control border-2 ${date === value ? 'border-ink bg-ink' : date === today ? 'border-underline' : 'border-transparent'}`}
                >
                  <Txt size={15} face={date === value || date === today ? 'bold' : 'read'} tone={date === value ? 'ground' : 'ink'}>
                    {Number(date.slice(8))}
                  </Txt>
                </Pressable>
              ) : (
                <View className="h-10" />
              )}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

const isWeekend = (date: string): boolean => [0, 6].includes(new Date(`${date}T00:00:00Z`).getUTCDay());

/** The letters over the days of a week. */
export function WeekdayHeads({ weekdays }: { weekdays: readonly string[] }) {
  return (
    <View className="flex-row" aria-hidden>
      {weekdays.map((weekday, nth) => (
        <Txt key={nth} size={13} tone="muted" className="w-0 grow py-1 text-center">
          {weekday}
        </Txt>
      ))}
    </View>
  );
}
