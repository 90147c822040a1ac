import { wallClockOf } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { BoundRows, useBound } from '@/features/here';
import { Map, type MapMark } from '@/features/map';
import { Screen } from '@/features/shell';
import { useSayHere } from '@/features/visits';
import { usePlacesHere } from '@/store/here.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Row, Txt, useSheet } from '@/ui';
import { t } from '@/words';
import { useOpenOn } from './errands.ts';
import { sayHours } from './hours-words.ts';
import { PlaceSheet } from './place-sheet.tsx';
import { useRemindersAt } from './reminders-at.ts';
import { sayOpen, sayWhere } from './say-place.ts';

const MAP_HEIGHT = 180;

/** Here: what can be done at one place, what reminds there, and where and when it is open. */
export function PlaceScreen({ id }: { id: string }) {
  const { rows, me, house } = useOpenHouse();
  const router = useRouter();
  const now = wallClockOf(useNow(), house.zone);
  const [changing, setChanging] = useSheet('change-place');
  const { sayHere } = useSayHere();
  const place = rows.find('place', id);
  const bound = useBound().filter(({ item }) => item.placeId === id);
  const isHere = usePlacesHere().some((one) => one.id === id);
  const reminders = useRemindersAt(id);
  const open = useOpenOn(place === undefined ? [] : [place.openingHours], now.slice(0, 10));
  if (place === undefined || place.removedAt) {
    return (
      <Screen title={t('places.title')}>
        <Empty words={t('place.gone')} action={t('places.all')} onAction={() => router.navigate('/places')} />
      </Screen>
    );
  }
  const minute = Number(now.slice(11, 13)) * 60 + Number(now.slice(14));
  const marks: MapMark[] = place.position
    ? [{ id, name: place.name, at: place.position, radius: place.radius, kind: 'place', words: String(bound.length || '') }]
    : [];
  const mayChange = me.role === 'manager' || place.makerId === me.id;
  return (
    <Screen title={place.name} sub={[sayOpen(open.get(place.openingHours), minute), sayWhere(place)].filter(Boolean).join(' · ')}>
      <View className="flex-row flex-wrap items-center gap-2 border-b border-line px-4 py-3">
        {isHere ? (
          <>
            <Txt face="medium" tone="pine">
              {t('here.youAre')}
            </Txt>
            <Button kind="quiet" onPress={() => sayHere(null)}>
              {t('here.leave')}
            </Button>
          </>
        ) : (
          <Button onPress={() => sayHere(id)}>{t('here.iAmHere')}</Button>
        )}
        {mayChange ? (
          <Button kind="quiet" onPress={() => setChanging(true)}>
            {t('place.change')}
          </Button>
        ) : null}
      </View>
      <View className="lg:flex-row">
        <View className="lg:grow lg:basis-0">
          {bound.length === 0 ? <Empty words={t('place.nothing', { place: place.name })} /> : <BoundRows some={bound} />}
        </View>
        <View className="lg:grow lg:basis-0 lg:border-l lg:border-line">
          {reminders.length > 0 ? (
            <View role="region" aria-label={t('place.reminders')}>
              <GroupHead title={t('place.reminders')} count={reminders.length} />
              {reminders.map(({ alarm, title, words, open: openIt }) => (
                <Row key={alarm.id} title={title} sub={words} onPress={openIt} />
              ))}
            </View>
          ) : null}
          {place.openingHours ? (
            <View role="region" aria-label={t('hours.title')}>
              <GroupHead title={t('hours.title')} />
              {sayHours(place.openingHours).map((line) => (
                <Txt key={line} className="px-4 py-1">
                  {line}
                </Txt>
              ))}
            </View>
          ) : null}
          {marks.length > 0 ? (
            <View className="pt-4">
              <Map label={t('map.place', { place: place.name })} marks={marks} at={id} height={MAP_HEIGHT} />
            </View>
          ) : null}
        </View>
      </View>
      {changing && mayChange ? <PlaceSheet place={place} onClose={() => setChanging(false)} /> : null}
    </Screen>
  );
}
