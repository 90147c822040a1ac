import { isEntryDone, minutesOn, titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Band, Icon, personInk, Txt, useNarrow, useWide, WeekdayHeads } from '@/ui';
import { t } from '@/words';
import { calendarWords, sayExactly, weeksOf } from '@/words/dates.ts';
import { sayMarks, type DayMarks } from './day-marks.ts';
import { DragEntry, DropMoment } from './drag.tsx';
import { isChore, keyOf, toneOf } from './entry.ts';

interface MonthGridProps {
  /** `2026-12`. */
  month: string;
  days: ReadonlyMap<string, CalendarEntry[]>;
  marksOf: (date: string) => DayMarks;
  chosen: string;
  today: string;
  onChoose: (date: string) => void;
}

/** So many titles fit in a day of a wide month. */
const SHOWN = 3;
/** So many of those who have something on a day fit in it. */
const MOST_PEOPLE = 4;
/** A day’s load is drawn from there on: below it every day looks alike. */
const HALF = 0.5;
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
  const share = marks.capacity ? minutesOn(entries) / marks.capacity : 0;
  const isFull = share > 1;
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
          {wide && entries.length > 0 ? (
            <Txt size={13} tone={isFull ? 'waits' : 'muted'} numberOfLines={1} className="ml-auto shrink-0">
              {sayMany(open, isFull)}
            </Txt>
          ) : null}
        </View>
        {wide || narrow ? null : <WhoseDay entries={entries} isFull={isFull} />}
        {wide ? <Titles entries={entries} date={date} onChoose={onChoose} /> : null}
        <View className="pointer-events-none mt-auto gap-1 px-1 pb-1">
          {marks.away.length > 0 ? <AwayThreads marks={marks} /> : null}
          {wide && share > HALF ? <Band share={share} width={96} height={6} /> : null}
        </View>
      </View>
    </DropMoment>
  );
});

const sayMany = (open: number, isFull: boolean): string =>
  open === 0 ? t('calendar.allDone') : t(isFull ? 'calendar.manyFull' : 'calendar.many', { count: open });

/** Those who have something on it, a lozenge each, and how many things there are. */
function WhoseDay({ entries, isFull }: { entries: CalendarEntry[]; isFull: boolean }) {
  const { rows } = useOpenHouse();
  if (entries.length === 0) return null;
  const open = entries.filter((entry) => !isEntryDone(entry));
  const people = [...new Set(open.flatMap(({ personIds }) => personIds))].map((id) => rows.find('person', id)).filter((person) => person !== undefined);
  return (
    <View aria-hidden className="pointer-events-none px-1">
      <View className="h-2.5 flex-row items-center gap-1">
        {people.slice(0, MOST_PEOPLE).map(({ id, colour }) => (
          <View key={id} className="h-1.5 w-1.5 rotate-45" style={{ backgroundColor: personInk(colour) }} />
        ))}
      </View>
      <Txt size={13} tone={isFull ? 'waits' : 'muted'} numberOfLines={1}>
        {open.length === 0 ? t('calendar.allDone') : isFull ? t('calendar.full', { count: open.length }) : open.length}
      </Txt>
    </View>
  );
}

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
