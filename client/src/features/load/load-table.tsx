import type { DayLoad, Person } from '@kotiva/core';
import { ScrollView, View } from 'react-native';
import { Txt } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { dayMonth } from '@/words/dates.ts';

/** Every day in a row, everyone in a column: minutes, and of how many. */
export function LoadTable({ people, loads }: { people: readonly Person[]; loads: ReadonlyMap<string, readonly DayLoad[]> }) {
  const days = loads.get(people[0]!.id)!;
  return (
    <ScrollView horizontal tabIndex={0} className="px-4 pb-4">
      <View role="table" aria-label={t('load.table')}>
        <View role="row" className="flex-row border-b border-line">
          <Cell head words={t('load.day')} />
          {people.map(({ id, name }) => (
            <Cell key={id} head words={name} />
          ))}
        </View>
        {days.map(({ date }, nth) => (
          <View key={date} role="row" className="flex-row border-b border-line">
            <Cell words={dayMonth(date)} rowHead />
            {people.map(({ id }) => (
              <Cell key={id} words={sayLoad(loads.get(id)![nth]!)} />
            ))}
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

function sayLoad({ minutes, capacity, away }: DayLoad): string {
  if (away) return minutes > 0 ? `${t('load.awayDay')} · ${sayDuration(minutes)}` : t('load.awayDay');
  return capacity === null ? sayDuration(minutes) : t('calendar.loadOf', { load: sayDuration(minutes), of: sayDuration(capacity) });
}

function Cell({ words, head = false, rowHead = false }: { words: string; head?: boolean; rowHead?: boolean }) {
  return (
    <View role={head ? 'columnheader' : rowHead ? 'rowheader' : 'cell'} className="min-h-9 w-[112px] justify-center pr-3">
      <Txt size={15} face={head || rowHead ? 'medium' : 'read'} numberOfLines={1}>
        {words}
      </Txt>
    </View>
  );
}
