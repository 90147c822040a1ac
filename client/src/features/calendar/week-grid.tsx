import { DAY_PARTS, isEntryDone, partOfEntry, titleOfEntry, type CalendarEntry, type DayPart } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { nameOf, useOpenItem } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t, together } from '@/words';
import { DayHead } from './day-head.tsx';
import type { DayMarks } from './day-marks.ts';
import { DragEntry, DropMoment } from './drag.tsx';
import { keyOf, toneOf } from './entry.ts';

interface WeekGridProps {
  dates: readonly string[];
  days: ReadonlyMap<string, CalendarEntry[]>;
  marksOf: (date: string) => DayMarks;
  chosen: string;
  today: string;
  onChoose: (date: string) => void;
}

/** A week on a wide screen: days beside each other, crossed by the parts of the day. */
export function WeekGrid({ dates, days, marksOf, chosen, today, onChoose }: WeekGridProps) {
  const { house } = useOpenHouse();
  const cell = (date: string, part: DayPart) => (days.get(date) ?? []).filter((entry) => partOfEntry(entry, house.dayParts) === part);
  return (
    <View>
      <View className="flex-row pl-16">
        {dates.map((date) => (
          <Pressable
            key={date}
            role="button"
            aria-pressed={date === chosen}
            onPress={() => onChoose(date)}
            className={`w-0 grow border-b-2 ${date === chosen ? 'border-ink' : 'border-transparent'}`}
          >
            <DayHead date={date} today={today} entries={days.get(date) ?? []} marks={marksOf(date)} />
          </Pressable>
        ))}
      </View>
      {DAY_PARTS.map((part) => (
        <View key={part} className="min-h-24 flex-row border-t border-line">
          <Txt size={13} face="medium" tone="muted" className="w-16 pt-2">
            {t(`dayPart.${part}`)}
          </Txt>
          {dates.map((date) => (
            <DropMoment
              key={date}
              moment={part === 'any' ? date : `${date} ${part}`}
              className={`w-0 grow border-l border-line p-1 ${marksOf(date).off ? 'bg-sunk' : ''}`}
            >
              {cell(date, part).map((entry) => (
                <DragEntry key={keyOf(entry)} entry={entry} place={`week ${date}`}>
                  <WeekEntry entry={entry} onChoose={() => onChoose(date)} />
                </DragEntry>
              ))}
            </DropMoment>
          ))}
        </View>
      ))}
    </View>
  );
}

function WeekEntry({ entry, onChoose }: { entry: CalendarEntry; onChoose: () => void }) {
  const { rows } = useOpenHouse();
  const open = useOpenItem();
  const names = entry.personIds.map((id) => nameOf(rows, id));
  const done = isEntryDone(entry);
  return (
    <Pressable
      role="button"
      onPress={() => (entry.kind === 'ahead' ? onChoose() : open(entry.kind === 'slot' ? entry.items[0]!.id : entry.item.id))}
      className="py-1"
    >
      <Txt size={15} tone={toneOf(entry)} numberOfLines={2} className={done ? 'line-through' : ''}>
        {entry.time ? `${entry.time} ` : ''}
        {titleOfEntry(entry)}
      </Txt>
      {names.length > 0 ? (
        <Txt size={13} tone="muted" numberOfLines={1}>
          {together(names)}
        </Txt>
      ) : null}
    </Pressable>
  );
}
