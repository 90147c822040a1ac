import type { CalendarEntry } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { Txt } from '@/ui';
import { t } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { DayHead } from './day-head.tsx';
import type { DayMarks } from './day-marks.ts';
import { DropMoment } from './drag.tsx';
import { EntryRow } from './entry-row.tsx';
import { keyOf } from './entry.ts';
import type { Move } from './use-move.tsx';

interface DayHoursProps {
  date: string;
  today: string;
  entries: readonly CalendarEntry[];
  marks: DayMarks;
  /** `16:00`: what is typed is planned for it. */
  hour: string | null;
  onHour: (hour: string | null) => void;
  onMove: Move;
}

const FIRST = 6;
const LAST = 22;

const hourOf = (entry: CalendarEntry): string => `${entry.time!.slice(0, 2)}:00`;

/** A day hour by hour: what has none above them. Entries are dragged to another hour, and what is typed can be planned for one. */
export function DayHours({ date, today, entries, marks, hour, onHour, onMove }: DayHoursProps) {
  const timed = entries.filter((entry) => entry.time !== null);
  const used = timed.map((entry) => Number(entry.time!.slice(0, 2)));
  const [from, to] = [Math.min(FIRST, ...used), Math.max(LAST, ...used)];
  const hours = Array.from({ length: to - from + 1 }, (_, nth) => `${String(from + nth).padStart(2, '0')}:00`);
  const row = (entry: CalendarEntry) => <EntryRow key={keyOf(entry)} entry={entry} day={entries} place={`day ${date}`} onMove={onMove} />;
  return (
    <View>
      <DayHead date={date} today={today} entries={entries} marks={marks} />
      <DropMoment moment={date}>{entries.filter((entry) => entry.time === null).map(row)}</DropMoment>
      {hours.map((at) => (
        <DropMoment key={at} moment={`${date}T${at}`} className="flex-row border-t border-line">
          <Pressable
            role="button"
            aria-pressed={at === hour}
            aria-label={t('calendar.planAt', { time: sayHour(at) })}
            onPress={() => onHour(at === hour ? null : at)}
            className={`min-h-11 w-16 justify-start pl-4 pt-2 ${at === hour ? 'bg-ink' : ''}`}
          >
            <Txt size={13} tone={at === hour ? 'ground' : 'muted'}>
              {sayHour(at)}
            </Txt>
          </Pressable>
          <View className="min-w-0 grow shrink basis-0">{timed.filter((entry) => hourOf(entry) === at).map(row)}</View>
        </DropMoment>
      ))}
    </View>
  );
}
