import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';
import { useMyRound } from './use-round.ts';

/** On a round, the day says where one goes next. */
export const RoundOnToday = memo(function RoundOnToday() {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const mine = useMyRound();
  if (!mine) return null;
  const place = mine.next ? rows.find('place', mine.next.place) : undefined;
  return (
    <View className="flex-row items-center gap-2 border-b border-line px-4 py-1">
      <Txt face="medium" className="min-w-0 grow shrink basis-0">
        {place === undefined ? t('round.allDone') : t('round.next', { place: place.name, count: mine.next!.items.length })}
      </Txt>
      <Button kind="quiet" onPress={() => router.push('/round')}>
        {t('round.open')}
      </Button>
    </View>
  );
});
