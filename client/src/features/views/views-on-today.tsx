import { arrangementId, byPosition, type SavedView } from '@kotiva/core';
import { readFilter } from '@kotiva/core/filtering';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { ItemRow } from '@/features/item';
import { useFiltering } from '@/features/narrow';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Fold } from '@/ui';
import { t } from '@/words';

/** So many stand there; the rest is in the view. */
const MOST_SHOWN = 30;

/** Kept views that somebody has put on their day, each folded, with how many meet it now. */
export function ViewsOnToday() {
  const { rows, me } = useOpenHouse();
  const isOnToday = ({ id, removedAt }: SavedView): boolean => {
    const arranged = rows.find('arrangement', arrangementId(id, me.id));
    return removedAt === null && arranged !== undefined && arranged.isOnToday;
  };
  return rows
    .all('savedView')
    .filter(isOnToday)
    .sort(byPosition)
    .map((view) => <OnToday key={view.id} view={view} />);
}

function OnToday({ view }: { view: SavedView }) {
  const router = useRouter();
  const entries = useFiltering()(readFilter(view.filter).filter);
  return (
    <Fold words={t('view.folded', { name: view.name, count: entries.length })}>
      {entries.length === 0 ? <Empty words={t('view.nothing')} /> : null}
      {entries.slice(0, MOST_SHOWN).map(({ item }) => (
        <ItemRow key={item.id} item={item} />
      ))}
      <View className="items-start px-2 py-1">
        <Button kind="quiet" onPress={() => router.push(`/views/${view.id}`)}>
          {t('view.open', { name: view.name })}
        </Button>
      </View>
    </Fold>
  );
}
