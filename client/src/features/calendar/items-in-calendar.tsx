import { calendarDateOf, type CalendarEntry } from '@kotiva/core';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { useWide } from '@/ui';
import { t } from '@/words';
import { monthAfter } from '@/words/dates.ts';
import { Beside } from './beside.tsx';
import { DayList } from './day-list.tsx';
import { marksOf } from './day-marks.ts';
import { CalendarDrag } from './drag.tsx';
import { MonthGrid } from './month-grid.tsx';
import { Turning } from './turning.tsx';
import { useDays } from './use-days.ts';
import { useMove } from './use-move.tsx';

/** Some items on the days they are due or planned for: a month at a time, dragged from day to day. */
export function ItemsInCalendar({ itemIds }: { itemIds: readonly string[] }) {
  const { rows, house } = useOpenHouse();
  const wide = useWide();
  const today = calendarDateOf(useNow(), house.zone);
  const [chosen, setChosen] = useState(today);
  const { move, question } = useMove();
  const month = chosen.slice(0, 7);
  const [from, to] = [`${month}-01`, `${month}-31`];
  const { days: all } = useDays('items', from, to);
  const days = useMemo(() => onlyOf(all, new Set(itemIds)), [all, itemIds]);
  const marks = useCallback((date: string) => marksOf(date, null, rows, house), [rows, house]);
  const turn = (by: number) => {
    const next = monthAfter(month, by);
    setChosen(next === today.slice(0, 7) ? today : `${next}-01`);
  };
  return (
    <View>
      <Turning view="month" dates={[from, to]} onTurn={turn} />
      <CalendarDrag onMove={move}>
        <Beside
          wide={wide}
          list={<DayList date={chosen} today={today} entries={days.get(chosen) ?? []} marks={marks(chosen)} onMove={move} empty={t('calendar.nothing')} />}
        >
          <MonthGrid month={month} chosen={chosen} onChoose={setChosen} days={days} marksOf={marks} today={today} />
        </Beside>
      </CalendarDrag>
      {question}
    </View>
  );
}

function onlyOf(days: ReadonlyMap<string, CalendarEntry[]>, ids: ReadonlySet<string>): Map<string, CalendarEntry[]> {
  const isOne = (entry: CalendarEntry) =>
    entry.kind === 'slot' ? entry.items.some(({ id }) => ids.has(id)) : entry.kind !== 'ahead' && ids.has(entry.item.id);
  return new Map([...days].flatMap(([date, entries]) => (entries.some(isOne) ? [[date, entries.filter(isOne)] as const] : [])));
}
