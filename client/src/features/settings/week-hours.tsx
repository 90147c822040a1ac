import { capacityId, type Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, Txt } from '@/ui';
import { t } from '@/words';
import { weekdaysInOrder } from '@/words/customs.ts';
import { readHours, sayHours } from '@/words/amounts.ts';
import { sayWeekday } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

const WEEK = [1, 2, 3, 4, 5, 6, 7] as const;

/** The hours somebody has for what is to be done, by weekday: what the day sheet measures a day against. */
export function WeekHours({ person }: { person: Person }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const kept = rows.find('capacity', capacityId(person.id));
  const [typed, setTyped] = useState(() => WEEK.map((day) => (kept === undefined ? '' : sayHours(kept.minutes[day - 1]!))));
  const [wrong, setWrong] = useState<number | null>(null);
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    const minutes = typed.map(readHours);
    const bad = minutes.findIndex((one) => one === null);
    setWrong(bad < 0 ? null : bad);
    if (bad >= 0) return;
    const reason = submit('capacity.set', { person: person.id, minutes: minutes as number[] }, { words: t('said.saved'), ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
  };
  return (
    <View className="gap-3 px-4 pb-4">
      <Txt size={15} tone="muted">
        {t('capacity.means')}
      </Txt>
      <View className="flex-row flex-wrap gap-2">
        {weekdaysInOrder().map((day) => (
          <Field
            key={day}
            label={sayWeekday(day)}
            value={typed[day - 1]!}
            inputMode="decimal"
            maxLength={5}
            error={wrong === day - 1 ? t('capacity.notHours') : null}
            onChangeText={(next) => setTyped(typed.map((one, nth) => (nth === day - 1 ? next : one)))}
            className="w-[74px]"
          />
        ))}
      </View>
      <ErrorLine says={error} />
      <View className="items-start">
        <Button onPress={save}>{t('common.save')}</Button>
      </View>
    </View>
  );
}
