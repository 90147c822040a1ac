import { addDays, choresAhead, holderOf, isHere, isOver, madeOf } from '@kotiva/core';
import { View } from 'react-native';
import { nameOf } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import type { One } from './one.ts';

/** Somebody else has this one, once. */
export function GiveTo({ one: { series, recurrenceId, personId }, onDone }: { one: One; onDone: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const { title } = series;
  return (
    <View className="gap-2 pt-2">
      {rows
        .all('person')
        .filter((person) => isHere(person) && person.role !== 'outside' && person.id !== personId)
        .map((person) => (
          <Button
            key={person.id}
            onPress={() => {
              const to = { series: series.id, recurrenceId, person: person.id };
              if (!submit('chore.giveTurn', to, { words: t('said.choreGiven', { title, name: person.name }), undo: true })) onDone();
            }}
          >
            {person.name}
          </Button>
        ))}
    </View>
  );
}

/** So far ahead a turn to change with is looked for. */
const SWAP_DAYS = 60;
const SWAPS = 8;

/** The next turns of the others: whichever is chosen, the two change places. */
export function SwapWith({ one, onDone }: { one: One; onDone: () => void }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const { series, recurrenceId, at } = one;
  const others = useOthersTurns(one);
  if (others.length === 0) return <Txt tone="muted">{t('calendar.noSwap')}</Txt>;
  return (
    <View className="gap-2 pt-2">
      <Txt tone="muted">{t('calendar.swapMeans', { name: nameOf(rows, one.personId), when: sayMoment(at, now, house.zone) })}</Txt>
      {others.map((other) => (
        <Button
          key={other.recurrenceId}
          onPress={() => {
            const names = { name: nameOf(rows, one.personId), other: nameOf(rows, other.personId), title: series.title };
            if (!submit('chore.swap', { series: series.id, one: recurrenceId, other: other.recurrenceId }, { words: t('said.swapped', names), undo: true }))
              onDone();
          }}
        >
          {t('calendar.swapWith', { name: nameOf(rows, other.personId), when: sayMoment(other.at, now, house.zone) })}
        </Button>
      ))}
    </View>
  );
}

function useOthersTurns({ series, recurrenceId, personId }: One): Omit<One, 'series'>[] {
  const { rows, house } = useOpenHouse();
  const made = madeOf(series.id, rows)
    .filter((item) => !isOver(item, rows))
    .map((item) => ({ recurrenceId: item.recurrenceId!, at: item.due ?? item.recurrenceId!, personId: holderOf(item, rows) }));
  const ahead = choresAhead(addDays(recurrenceId.slice(0, 10), SWAP_DAYS), rows, house)
    .filter((one) => one.series.id === series.id)
    .map(({ occurrence, assigned }) => ({ recurrenceId: occurrence.recurrenceId, at: occurrence.at, personId: assigned.personIds[0] ?? null }));
  return [...made, ...ahead].filter((one) => one.personId !== null && one.personId !== personId && one.recurrenceId !== recurrenceId).slice(0, SWAPS);
}
