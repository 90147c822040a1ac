import { calendarDateOf, isHere, type Person } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { nameOf } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, LabelledChoice, MomentInput, Row, Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

const NOT_AWAY = { from: '', to: '', standIn: 'nobody' };

/** Days somebody is not there: those to come, and new ones. */
export function AwayForm({ person }: { person: Person }) {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const submit = useSubmit();
  const [{ from, to, standIn }, setTyped, added] = useDraft(`away/${person.id}`, NOT_AWAY);
  const set = (some: Partial<typeof NOT_AWAY>) => setTyped((now) => ({ ...now, ...some }));
  const [error, setError] = useState<string | null>(null);
  const others = rows
    .all('person')
    .filter((one) => isHere(one) && one.role !== 'outside' && one.id !== person.id)
    .sort((a, b) => a.name.localeCompare(b.name));
  const aways = rows
    .by('timeAway', 'personId', person.id)
    .filter((away) => away.removedAt === null && away.to >= today)
    .sort((a, b) => (a.from < b.from ? -1 : 1));
  const add = () => {
    if (!from) return setError(t('away.needsDay'));
    const reason = submit(
      'away.add',
      { person: person.id, from, to: to || from, standIn: standIn === 'nobody' ? null : standIn },
      { words: t('said.away'), undo: true, ownRefusal: true },
    );
    setError(reason ? sayReason(reason) : null);
    if (!reason) added();
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
            sub={away.standInId ? t('away.standsIn', { name: nameOf(rows, away.standInId) }) : undefined}
            trail={
              <Button
                kind="quiet"
                label={t('away.removeNamed', { when: words })}
                onPress={() => submit('away.remove', { away: away.id }, { words: t('said.notAway'), undo: true })}
              >
                {t('away.remove')}
              </Button>
            }
          />
        );
      })}
      <View className="flex-row flex-wrap items-end gap-3 px-4">
        <MomentInput label={t('away.from')} kind="date" value={from} onChange={(next) => set({ from: next })} />
        <MomentInput label={t('away.to')} kind="date" value={to} onChange={(next) => set({ to: next })} />
      </View>
      {others.length > 0 ? (
        <View className="gap-1 px-4">
          <LabelledChoice
            label={t('away.standIn')}
            value={standIn}
            options={[{ value: 'nobody', words: t('away.nobodyStandsIn') }, ...others.map(({ id, name }) => ({ value: id, words: name }))]}
            onChange={(next) => set({ standIn: next })}
          />
          <Txt size={15} tone="muted">
            {t('away.standInMeans')}
          </Txt>
        </View>
      ) : null}
      {error ? (
        <View className="px-4">
          <ErrorLine says={error} />
        </View>
      ) : null}
      <View className="items-start px-4">
        <Button onPress={add}>{t('away.add')}</Button>
      </View>
    </View>
  );
}
