import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { useWide } from '@/ui';
import { t } from '@/words';
import { MoreList } from './more-list.tsx';

/** A page of places: what the house has, what is done together, what is kept, and settings. */
export function MoreScreen() {
  const { me, house } = useOpenHouse();
  const wide = useWide();
  return (
    <Screen title={t('nav.more')} sub={t('more.you', { house: house.name, name: me.name })}>
      <View className={wide ? 'columns' : ''}>
        <MoreList />
      </View>
    </Screen>
  );
}
