import { calendarDateOf, type Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, MomentInput, Row, Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

/** Days somebody is not there: those to come, and new ones. */
export function AwayForm({ person }: { person: Person }) {
  const { rows, house } = usePlace();
  const today = calendarDateOf(useNow(), house.zone);
  const give = useGive();
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [error, setError] = useState<string | null>(null);
  const aways = rows
    .by('timeAway', 'personId', person.id)
    .filter((away) => away.removedAt === null && away.to >= today)
    .sort((a, b) => (a.from < b.from ? -1 : 1));
  const add = () => {
    if (!from) return setError(t('away.needsDay'));
    const reason = give('away.add', { person: person.id, from, to: to || from }, { words: t('said.away'), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (reason) return;
    setFrom('');
    setTo('');
  };
  return (
    <View className="gap-3 pb-4">
      <View className="px-4">
        <Txt size={15} tone="muted">
          {t('away.means')}
        </Txt>
      </View>
      {aways.map((away) => {
        const words = away.from === away.to ? dayMonth(away.from) : t('away.range', { from: dayMonth(away.from), to: dayMonth(away.to) });
        return (
          <Row
            key={away.id}
            title={words}
            trail={
              <Button
                kind="quiet"
                label={t('away.removeNamed', { when: words })}
                onPress={() => give('away.remove', { away: away.id }, { words: t('said.notAway'), undo: true })}
              >
                {t('away.remove')}
              </Button>
            }
          />
        );
      })}
      <View className="flex-row flex-wrap items-end gap-3 px-4">
        <MomentInput label={t('away.from')} kind="date" value={from} onChange={setFrom} />
        <MomentInput label={t('away.to')} kind="date" value={to} onChange={setTo} />
      </View>
      {error ? (
        <View className="px-4">
          <Txt role="alert" size={15} tone="late">
            {error}
          </Txt>
        </View>
      ) : null}
      <View className="items-start px-4">
        <Button onPress={add}>{t('away.add')}</Button>
      </View>
    </View>
  );
}
