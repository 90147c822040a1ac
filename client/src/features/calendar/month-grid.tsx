import { isEntryDone, minutesOn, titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { Band, Icon, personInk, Txt, useNarrow, useWide, WeekdayHeads } from '@/ui';
import { t } from '@/words';
import { calendarWords, sayExactly, weeksOf } from '@/words/dates.ts';
import { sayMarks, type DayMarks } from './day-marks.ts';
import { DragEntry, DropMoment } from './drag.tsx';
import { isChore, keyOf, toneOf } from './entry.ts';

interface MonthGridProps {
  /** `2026-12`. */
  month: string;
  days: Map<string, CalendarEntry[]>;
  marksOf: (date: string) => DayMarks;
  chosen: string;
  today: string;
  onChoose: (date: string) => void;
}

/** So many titles fit in a day of a wide month. */
const SHOWN = 3;
const NONE: CalendarEntry[] = [];

/** A month, each day with what stands on it and its load against the hours there are. Days off lie on another ground. */
export function MonthGrid({ month, days, marksOf, chosen, today, onChoose }: MonthGridProps) {
  const words = calendarWords();
  return (
    <View role="group" aria-label={words.month(`${month}-01`)}>
      <WeekdayHeads weekdays={words.weekdays} />
      {weeksOf(month).map((week, row) => (
        <View key={row} className="flex-row">
          {week.map((date, column) => (
            <View key={column} className="w-0 grow border-t border-line">
              {date ? (
                <Day
                  date={date}
                  entries={days.get(date) ?? NONE}
                  marks={marksOf(date)}
                  isChosen={date === chosen}
                  isToday={date === today}
                  onChoose={onChoose}
                />
              ) : null}
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
  marks: DayMarks;
  isChosen: boolean;
  isToday: boolean;
  onChoose: (date: string) => void;
}

const Day = memo(function Day({ date, entries, marks, isChosen, isToday, onChoose }: DayProps) {
  const wide = useWide();
  const narrow = useNarrow();
  const open = entries.filter((entry) => !isEntryDone(entry)).length;
  const minutes = minutesOn(entries);
  const said = [t('calendar.dayWith', { day: sayExactly(date), count: open }), ...sayMarks(marks)].join(', ');
  return (
    <DropMoment moment={date} className={marks.off ? 'bg-sunk' : ''}>
      <View className={`h-16 border-2 lg:h-28 ${isChosen ? 'border-ink' : 'border-transparent'}`}>
        <Pressable
          role="button"
          aria-pressed={isChosen}
          aria-label={said}
          onPress={() => onChoose(date)}
          className="absolute inset-0"
          {...({ dataSet: { area: '' } } as object)}
        />
        <View aria-hidden className="pointer-events-none flex-row items-baseline justify-between gap-1 px-1 pt-1">
          <Txt size={15} face={isToday ? 'bold' : 'read'} tone={isToday ? 'pine' : 'ink'}>
            {Number(date.slice(8))}
          </Txt>
          {wide && marks.holiday ? (
            <Txt size={13} tone="muted" numberOfLines={1} className="min-w-0 shrink">
              {marks.holiday}
            </Txt>
          ) : null}
          {entries.length > 0 && !narrow ? (
            <Txt size={13} tone="muted">
              {open > 0 ? open : '✓'}
            </Txt>
          ) : null}
        </View>
        {wide ? <Titles entries={entries} date={date} onChoose={onChoose} /> : null}
        <View className="pointer-events-none mt-auto gap-1 px-1 pb-1">
          {marks.away.length > 0 ? <AwayThreads marks={marks} /> : null}
          {minutes > 0 ? (
            <Band share={marks.capacity === null || marks.capacity === 0 ? 1 : minutes / marks.capacity} width={wide ? 96 : 38} height={6} />
          ) : null}
        </View>
      </View>
    </DropMoment>
  );
});

/** Who is away: a broken thread in the colour of each. */
function AwayThreads({ marks: { away } }: { marks: DayMarks }) {
  return (
    <View aria-hidden className="flex-row gap-1">
      {away.slice(0, 3).map(({ id, colour }) => (
        <View key={id} className="h-0 w-3 border-t-2 border-dashed" style={{ borderColor: personInk(colour) }} />
      ))}
    </View>
  );
}

/** What can be taken hold of and dragged to another day; a tap is one on the day. */
function Titles({ entries, date, onChoose }: { entries: CalendarEntry[]; date: string; onChoose: (date: string) => void }) {
  return (
    <Pressable tabIndex={-1} onPress={() => onChoose(date)} className="min-h-0 shrink overflow-hidden px-1">
      {entries.slice(0, SHOWN).map((entry) => (
        <DragEntry key={keyOf(entry)} entry={entry} place={`month ${date}`} handle={false}>
          <View className="flex-row items-center gap-1">
            {isChore(entry) ? <ChoreSign /> : null}
            <Txt size={13} numberOfLines={1} tone={toneOf(entry)} className={`min-w-0 shrink cursor-grab ${isEntryDone(entry) ? 'line-through' : ''}`}>
              {entry.time ? `${entry.time} ` : ''}
              {titleOfEntry(entry)}
            </Txt>
          </View>
        </DragEntry>
      ))}
    </Pressable>
  );
}

const ChoreSign = () => (
  <View className="shrink-0">
    <Icon name="again" size={11} tone="heather" />
  </View>
);
