import { wallClockOf } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { countsOf, useBound } from '@/features/here';
import { Map, type MapMark } from '@/features/map';
import { Screen } from '@/features/shell';
import { LookingChoice, useSayHere } from '@/features/visits';
import { placesOf, useLooking, usePlacesHere } from '@/store/here.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Row, useSheet, useWide } from '@/ui';
import { t } from '@/words';
import { useOpenOn } from './errands.ts';
import { PlaceSheet } from './place-sheet.tsx';
import { sayOpen, sayWhere } from './say-place.ts';

const MAP_HEIGHT = { phone: 280, wide: 560 };

/** The places of the house on the map, and each of them in the list beside it: what is to be done there, and whether it is open. */
export function PlacesScreen() {
  const { rows, me, house } = useOpenHouse();
  const wide = useWide();
  const router = useRouter();
  const now = wallClockOf(useNow(), house.zone);
  const [making, setMaking] = useSheet('new-place');
  const places = placesOf(rows);
  const counts = countsOf(useBound());
  const here = new Set(usePlacesHere().map(({ id }) => id));
  const open = useOpenOn(
    places.map(({ openingHours }) => openingHours),
    now.slice(0, 10),
  );
  const { at } = useLooking();
  const minute = Number(now.slice(11, 13)) * 60 + Number(now.slice(14));
  const marks: MapMark[] = [
    ...places.flatMap(({ id, name, position, radius }): MapMark[] =>
      position ? [{ id, name, at: position, radius, kind: 'place', words: counts.get(id) ? String(counts.get(id)) : '' }] : [],
    ),
    ...(at ? [{ id: 'self', name: t('map.self'), at, kind: 'self' as const }] : []),
  ];
  const list = (
    <View className="lg:grow lg:basis-0">
      <WhereAmI />
      <GroupHead title={t('places.title')} count={places.length} />
      {places.map((place) => (
        <Row
          key={place.id}
          title={place.name}
          sub={[here.has(place.id) ? t('place.here') : null, sayOpen(open.get(place.openingHours), minute), sayWhere(place)].filter(Boolean).join(' · ')}
          right={counts.get(place.id) ? t('place.todo', { count: counts.get(place.id)! }) : undefined}
          onPress={() => router.push(`/places/${place.id}`)}
        />
      ))}
      {places.length === 0 ? <Empty words={t('places.none')} /> : null}
      <LookingChoice />
    </View>
  );
  return (
    <Screen title={t('places.title')} sub={t('places.sub', { house: house.name })}>
      <View className="flex-row flex-wrap gap-2 border-b border-line px-4 py-3">
        <Button kind="main" onPress={() => router.push('/round')}>
          {t('round.plan')}
        </Button>
        {me.role === 'outside' ? null : (
          <Button icon="plus" onPress={() => setMaking(true)}>
            {t('place.new')}
          </Button>
        )}
      </View>
      <View className="lg:flex-row">
        <View className="lg:grow lg:basis-0">
          <Map
            label={t('map.places')}
            marks={marks}
            height={wide ? MAP_HEIGHT.wide : MAP_HEIGHT.phone}
            onOpen={(id) => id !== 'self' && router.push(`/places/${id}`)}
          />
        </View>
        {list}
      </View>
      {making && me.role !== 'outside' ? <PlaceSheet place={null} onClose={() => setMaking(false)} /> : null}
    </Screen>
  );
}

/** "I am at …": by hand does what a look would. */
function WhereAmI() {
  const { rows } = useOpenHouse();
  const { sayHere } = useSayHere();
  const here = usePlacesHere();
  const [choosing, setChoosing] = useState(false);
  const names = here.map(({ name }) => name);
  return (
    <View className="gap-2 border-b border-line px-4 py-3">
      <View className="flex-row flex-wrap items-center gap-2">
        <Button expanded={choosing} onPress={() => setChoosing(!choosing)}>
          {names.length > 0 ? t('here.iAmAt', { place: names.join(', ') }) : t('here.say')}
        </Button>
        {names.length > 0 ? (
          <Button kind="quiet" onPress={() => sayHere(null)}>
            {t('here.leave')}
          </Button>
        ) : null}
      </View>
      {choosing ? (
        <View role="group" aria-label={t('here.say')} className="flex-row flex-wrap gap-2">
          {placesOf(rows).map(({ id, name }) => (
            <Button
              key={id}
              onPress={() => {
                setChoosing(false);
                sayHere(id);
              }}
            >
              {name}
            </Button>
          ))}
        </View>
      ) : null}
    </View>
  );
}
