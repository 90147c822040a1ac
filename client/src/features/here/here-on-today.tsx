import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import { ItemRow } from '@/features/item';
import { usePlacesHere } from '@/store/here.ts';
import { Button, GroupHead } from '@/ui';
import { t } from '@/words';
import { useBound } from './use-here.ts';

const MOST = 4;

/** Where one is, if anything can be done there: straight on the day. */
export const HereOnToday = memo(function HereOnToday() {
  const here = usePlacesHere();
  const bound = useBound();
  const router = useRouter();
  return here.map((place) => {
    const some = bound.filter(({ item }) => item.placeId === place.id);
    if (some.length === 0) return null;
    return (
      <View key={place.id} role="region" aria-label={t('here.at', { place: place.name })} className="border-b border-line pb-2">
        <GroupHead title={t('here.at', { place: place.name })} count={some.length}>
          <Button
            kind="quiet"
            label={t('here.openNamed', { words: some.length > MOST ? t('here.all', { count: some.length }) : t('here.open'), place: place.name })}
            onPress={() => router.push(`/places/${place.id}`)}
          >
            {some.length > MOST ? t('here.all', { count: some.length }) : t('here.open')}
          </Button>
        </GroupHead>
        {some.slice(0, MOST).map(({ item }) => (
          <ItemRow key={item.id} item={item} />
        ))}
      </View>
    );
  });
});
