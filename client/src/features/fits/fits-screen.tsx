import { STRETCH_MINUTES, isGranted, candidatesOf, fitsNow, whyNot, type Candidate, type Circumstances, type Energy } from '@kotiva/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { relations, ItemRow } from '@/features/item';
import { Screen } from '@/features/shell';
import { placesOf, usePlacesHere } from '@/store/here.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { switched, useOpenHouse, usePlanView, useSoNow } from '@/store/store.ts';
import { Button, Choice, Empty, Field, Fold, GroupHead, Labelled, Slider, Toggles, Txt } from '@/ui';
import { afterTap } from '@/ui/hand.ts';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { OneByOne } from './one-by-one.tsx';

/** So many minutes one usually has; null: no matter how many. */
const STOPS: readonly (number | null)[] = [5, 10, 15, 20, 30, 45, 60, 90, 120, null];

/** What can be done here and now, and the best of it for the minutes at hand. */
export function FitsScreen() {
  const { rows, me } = useOpenHouse();
  const view = usePlanView();
  const dispatch = useDispatch();
  const soNow = useSoNow();
  const [here] = usePlacesHere();
  const [asked, setGiven] = useState<Omit<Circumstances, 'situations'>>({ minutes: 20, energy: null, place: here?.id ?? null });
  const situations = soNow.join(' ');
  const given = useMemo((): Circumstances => ({ ...asked, situations: situations ? situations.split(' ') : null }), [asked, situations]);
  const [working, setWorking] = useState<readonly string[] | null>(null);
  const candidates = useMemo(
    () => candidatesOf(view, rows, (item) => relations(item, me, rows).some((relation) => isGranted(relation, 'check'))),
    // the minute is all that changes in the view
    [view.now, view.personId, rows, me], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const fit = useMemo(() => fitsNow(candidates, given), [candidates, given]);
  if (working) return <OneByOne items={working} onStop={() => setWorking(null)} />;
  const best = new Set(fit.best);
  const others = fit.fits.filter((one) => !best.has(one));
  const out = candidates.filter((one) => whyNot(one, given) !== null);
  // what is so is the same here and on Today
  const change = ({ situations: so, ...some }: Partial<Circumstances>) => {
    if (so !== undefined) dispatch(switched(so ?? []));
    setGiven({ ...asked, ...some });
  };

  return (
    <Screen title={t('fits.title')} sub={t('fits.sub', { count: fit.fits.length, time: sayDuration(sum(fit.fits)) })}>
      <Conditions given={given} onChange={change} />
      {fit.loosen ? (
        <View className="gap-3 px-4 py-5">
          <Txt tone="waits">{t(`fits.loosen.${fit.loosen.condition}`, { count: fit.loosen.brings })}</Txt>
          <View className="items-start">
            <Button onPress={() => change({ [fit.loosen!.condition]: null })}>{t('fits.letGo')}</Button>
          </View>
        </View>
      ) : null}
      {fit.fits.length === 0 && !fit.loosen ? <Empty words={t('fits.nothing')} /> : null}
      {fit.best.length > 0 ? (
        <>
          <GroupHead title={given.minutes === null ? t('fits.all') : t('fits.best', { given: given.minutes })} count={fit.best.length}>
            <Txt size={15} face="medium" className="pr-3">
              {t('chip.effort', { minutes: fit.minutes })}
            </Txt>
          </GroupHead>
          <Candidates some={fit.best} />
          <View className="flex-row flex-wrap items-center gap-2 px-4 py-3">
            <Button kind="main" onPress={() => setWorking(fit.best.map(({ item }) => item.id))}>
              {t('fits.oneByOne')}
            </Button>
            <FocusButton minutes={given.minutes} />
          </View>
        </>
      ) : null}
      <Group title={t('fits.alsoKnown')} some={others.filter((one) => !one.isGuess)} />
      <Group title={t('fits.alsoUnknown')} some={others.filter((one) => one.isGuess)} />
      {out.length > 0 ? (
        <Fold words={t('fits.out', { count: out.length })}>
          {out.map((one) => (
            <ItemRow key={one.item.id} item={one.item} sub={t(`fits.why.${whyNot(one, given)!}`, { minutes: one.minutes })} />
          ))}
        </Fold>
      ) : null}
    </Screen>
  );
}

/** So many minutes for nothing else, where they are chosen. */
function FocusButton({ minutes }: { minutes: number | null }) {
  const submit = useSubmit();
  if (minutes === null || minutes < STRETCH_MINUTES.least || minutes > STRETCH_MINUTES.most) return null;
  return (
    <Button kind="quiet" onPress={() => submit('stretch.begin', { minutes })}>
      {t('stretch.beginFor', { time: sayDuration(minutes) })}
    </Button>
  );
}

const sum = (some: readonly Candidate[]): number => some.reduce((all, one) => all + one.minutes, 0);

function Group({ title, some }: { title: string; some: readonly Candidate[] }) {
  if (some.length === 0) return null;
  return (
    <>
      <GroupHead title={title} count={some.length} />
      <Candidates some={some} />
    </>
  );
}

const Candidates = ({ some }: { some: readonly Candidate[] }) =>
  some.map(({ item, minutes, isGuess, late }) => (
    <ItemRow
      key={item.id}
      item={item}
      right={isGuess ? t('fits.guess', { minutes }) : t('chip.effort', { minutes })}
      rightTone={late ? 'late' : isGuess ? 'muted' : 'ink'}
    />
  ));

/** Minutes, always in sight; the rest in one line that opens, so that the answer is never pushed away. */
function Conditions({ given, onChange }: ConditionsProps) {
  const { rows } = useOpenHouse();
  const place = given.place === null ? null : rows.find('place', given.place);
  const inALine = [
    given.energy === null ? t('fits.anyEnergy') : t(`energy.${given.energy}`),
    place ? t('chip.place', { name: place.name }) : t('place.anywhere'),
    ...(given.situations ?? []).map((id) => rows.find('situation', id)).flatMap((row) => (row === undefined ? [] : [row.name])),
  ].join(' · ');
  const stop = STOPS.findIndex((minutes) => minutes === null || (given.minutes !== null && given.minutes <= minutes));
  return (
    <View className="border-b border-line">
      <View className="px-4 pt-3">
        <Slider
          label={t('fits.minutes')}
          stops={STOPS.map((minutes, nth) => ({
            words: nth === stop && given.minutes !== null ? sayDuration(given.minutes) : minutes === null ? t('fits.any') : sayDuration(minutes),
            short: minutes === null ? t('fits.any') : String(minutes),
          }))}
          at={stop}
          onChange={(at) => onChange({ minutes: STOPS[at]! })}
        />
      </View>
      <Fold words={inALine}>
        <FurtherConditions given={given} onChange={onChange} />
      </Fold>
    </View>
  );
}

interface ConditionsProps {
  given: Circumstances;
  onChange: (some: Partial<Circumstances>) => void;
}

function FurtherConditions({ given, onChange }: ConditionsProps) {
  const { rows } = useOpenHouse();
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const places = placesOf(rows);
  const situations = rows.all('situation').filter((situation) => !situation.removedAt);
  const setMinutes = () => {
    if (!typed.trim()) return;
    if (!/^\d{1,3}$/.test(typed.trim()) || Number(typed) < 1) return setError(t('effort.notANumber'));
    setError(null);
    onChange({ minutes: Number(typed) });
  };
  return (
    <View className="gap-4 px-4 pb-4">
      <View className="max-w-[320px]">
        <Field
          label={t('effort.other')}
          value={typed}
          inputMode="numeric"
          error={error}
          onChangeText={setTyped}
          onBlur={() => afterTap(setMinutes)}
          onSubmitEditing={setMinutes}
        />
      </View>
      <Labelled words={t('fits.energy')}>
        <Choice<Energy | 'any'>
          label={t('fits.energy')}
          value={given.energy ?? 'any'}
          options={(['low', 'middle', 'high', 'any'] as const).map((value) => ({ value, words: value === 'any' ? t('fits.any') : t(`energy.${value}`) }))}
          onChange={(value) => onChange({ energy: value === 'any' ? null : value })}
        />
      </Labelled>
      {places.length > 0 ? (
        <Labelled words={t('fits.place')}>
          <Choice
            label={t('fits.place')}
            value={given.place ?? 'any'}
            options={[...places.map(({ id, name }) => ({ value: id, words: name })), { value: 'any', words: t('fits.any') }]}
            onChange={(value) => onChange({ place: value === 'any' ? null : value })}
          />
        </Labelled>
      ) : null}
      {situations.length > 0 ? (
        <Labelled words={t('fits.situations')}>
          <Toggles
            label={t('fits.situations')}
            on={given.situations ?? []}
            options={situations.map(({ id, name }) => ({ value: id, words: name }))}
            onChange={(on) => onChange({ situations: on.length > 0 ? on : null })}
          />
        </Labelled>
      ) : null}
    </View>
  );
}
