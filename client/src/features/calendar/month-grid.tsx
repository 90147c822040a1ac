import { isEntryDone, minutesOn, titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { useNarrowed, usePlace } from '@/store/store.ts';
import { Band, Txt, useWide } from '@/ui';
import { t } from '@/words';
import { calendarWords, sayExactly, weeksOf } from '@/words/dates.ts';
import { capacityOn } from './capacity.ts';

interface MonthGridProps {
  /** `2026-12`. */
  month: string;
  days: Map<string, CalendarEntry[]>;
  chosen: string;
  today: string;
  onChoose: (date: string) => void;
}

/** So many titles fit in a day of a wide month. */
const SHOWN = 3;
const NONE: CalendarEntry[] = [];
const PLANNED: ReadonlySet<string> = new Set();

/** A month, each day with what stands on it and its load against the hours there are. Weekends lie on another ground. */
export function MonthGrid({ month, days, chosen, today, onChoose }: MonthGridProps) {
  const words = calendarWords();
  return (
    <View role="group" aria-label={words.month(`${month}-01`)}>
      <View className="flex-row" aria-hidden>
        {words.weekdays.map((weekday, nth) => (
          <Txt key={nth} size={13} tone="muted" className="w-0 grow py-1 text-center">
            {weekday}
          </Txt>
        ))}
      </View>
      {weeksOf(month).map((week, row) => (
        <View key={row} className="flex-row">
          {week.map((date, column) => (
            <View key={column} className={`w-0 grow border-t border-line ${column > 4 ? 'bg-sunk' : ''}`}>
              {date ? <Day date={date} entries={days.get(date) ?? NONE} isChosen={date === chosen} isToday={date === today} onChoose={onChoose} /> : null}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

interface DayProps {
  date: string;
  entries: CalendarEntry[];
  isChosen: boolean;
  isToday: boolean;
  onChoose: (date: string) => void;
}

function Day({ date, entries, isChosen, isToday, onChoose }: DayProps) {
  const { rows } = usePlace();
  const narrowed = useNarrowed();
  const wide = useWide();
  const open = entries.filter((entry) => !isEntryDone(entry)).length;
  const minutes = minutesOn(entries, PLANNED);
  const capacity = capacityOn(date, narrowed, rows);
  return (
    <Pressable
      role="button"
      aria-pressed={isChosen}
      aria-label={t('calendar.dayWith', { day: sayExactly(date), count: open })}
      onPress={() => onChoose(date)}
      className={`h-16 gap-0.5 border-2 p-1 lg:h-28 ${isChosen ? 'border-ink' : 'border-transparent'}`}
    >
      <View className="flex-row items-baseline justify-between">
        <Txt size={15} face={isToday ? 'bold' : 'read'} tone={isToday ? 'pine' : 'ink'}>
          {Number(date.slice(8))}
        </Txt>
        {open > 0 ? (
          <Txt size={13} tone="muted">
            {open}
          </Txt>
        ) : null}
      </View>
      {wide ? <Titles entries={entries} /> : null}
      <View className="mt-auto">
        {minutes > 0 ? <Band share={capacity === null || capacity === 0 ? 1 : minutes / capacity} width={wide ? 96 : 38} height={6} /> : null}
      </View>
    </Pressable>
  );
}

function Titles({ entries }: { entries: CalendarEntry[] }) {
  return (
    <View className="min-h-0 shrink overflow-hidden">
      {entries.slice(0, SHOWN).map((entry, nth) => (
        <Txt
          key={nth}
          size={13}
          numberOfLines={1}
          tone={isEntryDone(entry) ? 'muted' : entry.kind === 'ahead' ? 'chore' : entry.kind === 'plan' ? 'plan' : 'ink'}
          className={isEntryDone(entry) ? 'line-through' : ''}
        >
          {titleOfEntry(entry)}
        </Txt>
      ))}
    </View>
  );
}
