import { relationsToItem, isHere, onArriving, seesPlace, WEEKDAYS, type Item, type PlaceTrigger, type Trigger } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { drawnLater } from '@/features/later';
import { placesOf, useLooking } from '@/store/here.ts';
import { lookingSwitched } from '@/store/looking.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Foot, LabelledChoice, LabelledToggles, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { sayWeekday } from '@/words/dates.ts';

/** Places import items: what makes one is fetched when it is wanted. */
const PlaceSheet = drawnLater(() => import('@/features/places').then((all) => all.PlaceSheet));

const WORKDAYS = WEEKDAYS.slice(0, 5);

type When = 'enter' | 'leave';
type Days = 'any' | 'workdays' | 'weekend';
const DAYS: Record<Days, PlaceTrigger['days']> = { any: null, workdays: [...WORKDAYS], weekend: WEEKDAYS.slice(5) };

/** Said before it is saved: this device does not look where it is, so nothing would ring here; with the way to switch that on. */
function WontRing() {
  const { state } = useLooking();
  const dispatch = useDispatch();
  const canLook = 'geolocation' in navigator;
  if (state === 'on' || (state === 'asked' && canLook)) return null;
  const why = !canLook || state === 'unknown' ? 'impossible' : state === 'refused' ? 'refused' : 'off';
  return (
    <View role="status" className="items-start gap-2">
      <Txt size={15} tone="waits">
        {t(`alarm.wontRing.${why}`)}
      </Txt>
      {why === 'off' ? <Button onPress={() => dispatch(lookingSwitched(true))}>{t('alarm.lookHere')}</Button> : null}
    </View>
  );
}

/** Reminded on coming to a place or leaving it: for whom, and on which days and hours. */
export function PlaceReminderForm({ item, onSet }: { item: Item; onSet: (trigger: Trigger) => boolean }) {
  const { rows, me } = useOpenHouse();
  const places = placesOf(rows);
  const [picked, setPlace] = useState<string | null>(null);
  // places there were before one was added here: the new one is meant
  const [known, setKnown] = useState<ReadonlySet<string> | null>(null);
  const [making, setMaking] = useState(false);
  const added = known ? places.find(({ id }) => !known.has(id)) : undefined;
  const place = picked ?? added?.id ?? item.placeId ?? places[0]?.id ?? '';
  const [on, setOn] = useState<When>('enter');
  const [shared, setShared] = useState(false);
  const [among, setAmong] = useState<readonly string[] | null>(null);
  const [days, setDays] = useState<Days>('any');
  const [from, setFrom] = useState('');
  const [until, setUntil] = useState('');
  const [fallback, setFallback] = useState('22:00');
  const [error, setError] = useState<string | null>(null);
  const chosen = places.find(({ id }) => id === place);
  const able = rows
    .all('person')
    .filter((person) => isHere(person) && person.accountId !== null && chosen && seesPlace(chosen, person.id) && relationsToItem(item, person, rows).length > 0)
    .sort((a, b) => a.name.localeCompare(b.name));
  const meant = (among ?? able.map(({ id }) => id)).filter((id) => able.some((person) => person.id === id));
  const makePlace = (
    <View className="items-start">
      <Button
        icon="plus"
        onPress={() => {
          setKnown(new Set(places.map(({ id }) => id)));
          setPlace(null);
          setMaking(true);
        }}
      >
        {t('place.new')}
      </Button>
      {making ? <PlaceSheet place={null} onClose={() => setMaking(false)} /> : null}
    </View>
  );
  if (places.length === 0)
    return (
      <View className="gap-2">
        <Txt tone="muted">{t('alarm.noPlaces')}</Txt>
        {makePlace}
      </View>
    );
  const set = () => {
    if (!place) return setError(t('alarm.choosePlace'));
    if (shared && meant.length < 2) return setError(t('alarm.atLeastTwo'));
    const own = { ...onArriving(place, on), days: DAYS[days], from: from || null, until: until || null };
    const last = shared && on === 'leave';
    const trigger: PlaceTrigger = shared ? { ...own, who: last ? 'last' : 'first', among: [...meant], fallback: last ? fallback || null : null } : own;
    setError(null);
    onSet(trigger);
  };
  return (
    <View className="gap-4">
      <WontRing />
      <LabelledChoice label={t('alarm.place')} value={place} options={places.map(({ id, name }) => ({ value: id, words: name }))} onChange={setPlace} />
      {makePlace}
      <LabelledChoice<When>
        label={t('alarm.crossing')}
        value={on}
        options={[
          { value: 'enter', words: t('alarm.crossing.enter') },
          { value: 'leave', words: t('alarm.crossing.leave') },
        ]}
        onChange={setOn}
      />
      <LabelledChoice
        label={t('alarm.crosser')}
        value={shared ? 'shared' : 'own'}
        options={[
          { value: 'own', words: t('alarm.crosser.own') },
          { value: 'shared', words: t(on === 'enter' ? 'alarm.crosser.first' : 'alarm.crosser.last') },
        ]}
        onChange={(value) => setShared(value === 'shared')}
      />
      {shared ? (
        <LabelledToggles
          label={t('alarm.among')}
          on={meant}
          options={able.map(({ id, name }) => ({ value: id, words: id === me.id ? t('alarm.me') : name }))}
          onChange={setAmong}
        />
      ) : null}
      {shared && on === 'leave' ? (
        <View className="gap-1">
          <MomentInput label={t('alarm.fallbackHour')} kind="time" value={fallback} onChange={setFallback} />
          <Txt size={15} tone="muted">
            {t('alarm.lastMeans')}
          </Txt>
        </View>
      ) : null}
      <LabelledChoice<Days>
        label={t('alarm.days')}
        value={days}
        options={(['any', 'workdays', 'weekend'] as const).map((value) => ({
          value,
          words: t(`alarm.days.${value}`, { from: sayWeekday(1), to: sayWeekday(5) }),
        }))}
        onChange={setDays}
      />
      <View className="flex-row flex-wrap gap-3">
        <MomentInput label={t('alarm.fromHour')} kind="time" value={from} onChange={setFrom} />
        <MomentInput label={t('alarm.untilHour')} kind="time" value={until} onChange={setUntil} />
      </View>
      <ErrorLine says={error} />
      <Foot>
        <View className="items-start">
          <Button kind="main" onPress={set}>
            {t('alarm.setThere')}
          </Button>
        </View>
      </Foot>
    </View>
  );
}
