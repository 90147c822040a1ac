import type { Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, ErrorLine, Labelled, MomentInput, Switch, Toggles, Txt } from '@/ui';
import { t } from '@/words';
import { weekdaysInOrder } from '@/words/customs.ts';
import { sayWeekday } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

const DAYS_OF_WEEK = 7;

/** When somebody is left in peace: hours of the night, and whole days. */
export function RestForm({ person }: { person: Person }) {
  const submit = useSubmit();
  const [nights, setNights] = useState(person.rest.hours !== null);
  const [from, setFrom] = useState(person.rest.hours?.from ?? '21:00');
  const [to, setTo] = useState(person.rest.hours?.to ?? '07:00');
  const [days, setDays] = useState<readonly string[]>(person.rest.daysOff.map(String));
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    if (days.length === DAYS_OF_WEEK) return setError(t('rest.everyDay'));
    const rest = { hours: nights && from && to ? { from, to } : null, daysOff: days.map(Number) };
    const reason = submit('person.setRest', { person: person.id, rest }, { words: t('said.saved'), ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
  };
  return (
    <View className="gap-3 px-4 pb-4">
      <Txt size={15} tone="muted">
        {t('rest.means')}
      </Txt>
      <Switch words={t('rest.nights')} on={nights} onChange={setNights} />
      {nights ? (
        <View className="flex-row gap-3">
          <MomentInput label={t('rest.from')} kind="time" value={from} onChange={setFrom} />
          <MomentInput label={t('rest.to')} kind="time" value={to} onChange={setTo} />
        </View>
      ) : null}
      <Labelled words={t('rest.daysOff')}>
        <Toggles
          label={t('rest.daysOff')}
          on={days}
          options={weekdaysInOrder().map((day) => ({ value: String(day), words: sayWeekday(day) }))}
          onChange={setDays}
        />
      </Labelled>
      <ErrorLine says={error} />
      <View className="items-start">
        <Button onPress={save}>{t('common.save')}</Button>
      </View>
    </View>
  );
}
