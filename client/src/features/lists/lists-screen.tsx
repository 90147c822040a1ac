import { byPosition } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { NewFromTemplate } from '@/features/templates';
import { ViewRows } from '@/features/views';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Icon, Menu, useSheetAt } from '@/ui';
import { t } from '@/words';
import { BundleSheet } from './bundle-sheet.tsx';
import { ListRow } from './list-row.tsx';
import { ListSheet } from './list-sheet.tsx';

/** Every list one can open, in its bundles. */
export function ListsScreen() {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [making, setMaking] = useSheetAt<'list' | 'bundle'>('new');
  const [changedId, setChanged] = useSheetAt('bundle');
  const lists = rows
    .all('list')
    .filter((list) => !list.removedAt)
    .sort(byPosition);
  const open = lists.filter((list) => !list.filedAt);
  const bundles = rows
    .all('bundle')
    .filter((bundle) => !bundle.removedAt)
    .sort(byPosition);
  const changed = bundles.find(({ id }) => id === changedId);
  const loose = open.filter((list) => !bundles.some((bundle) => bundle.id === list.bundleId));
  return (
    <Screen title={t('nav.lists')} sub={t('lists.count', { count: open.length })}>
      {open.length === 0 ? <Empty words={t('lists.empty')} action={t('lists.make')} onAction={() => setMaking('list')} /> : null}
      <ViewRows />
      <View className="lg:grid lg:grid-cols-2 lg:gap-x-8">
        {bundles.map((bundle) => (
          <View key={bundle.id}>
            <GroupHead
              title={bundle.name}
              sub={bundle.purpose || undefined}
              lead={<Icon name={bundle.icon} size={18} colour={bundle.colour} />}
              count={open.filter((list) => list.bundleId === bundle.id).length}
            >
              <Menu
                label={t('bundle.more', { name: bundle.name })}
                entries={[
                  { key: 'change', words: t('bundle.change'), onPress: () => setChanged(bundle.id) },
                  {
                    key: 'remove',
                    words: t('bundle.remove'),
                    onPress: () => void submit('bundle.remove', { bundle: bundle.id }, { words: t('said.bundleRemoved', { name: bundle.name }), undo: true }),
                  },
                ]}
              />
            </GroupHead>
            {open
              .filter((list) => list.bundleId === bundle.id)
              .map((list) => (
                <ListRow key={list.id} list={list} />
              ))}
          </View>
        ))}
        {loose.length > 0 ? (
          <View>
            {bundles.length > 0 ? <GroupHead title={t('lists.loose')} count={loose.length} /> : null}
            {loose.map((list) => (
              <ListRow key={list.id} list={list} />
            ))}
          </View>
        ) : null}
      </View>
      <View className="flex-row flex-wrap gap-2 px-4 py-5">
        <Button icon="plus" onPress={() => setMaking('list')}>
          {t('lists.make')}
        </Button>
        <NewFromTemplate />
        <Button kind="quiet" onPress={() => setMaking('bundle')}>
          {t('bundle.make')}
        </Button>
      </View>
      <KeptElsewhere archived={lists.length - open.length} />
      {making === 'list' ? <ListSheet onClose={() => setMaking(null)} /> : null}
      {making === 'bundle' ? <BundleSheet onClose={() => setMaking(null)} /> : null}
      {changed ? <BundleSheet bundle={changed} onClose={() => setChanged(null)} /> : null}
    </Screen>
  );
}

/** The ways to what is not here any more. */
function KeptElsewhere({ archived }: { archived: number }) {
  const router = useRouter();
  return (
    <View className="flex-row flex-wrap px-2">
      {archived > 0 ? (
        <Button kind="quiet" tone="muted" onPress={() => router.push('/archived')}>
          {t('lists.filed', { count: archived })}
        </Button>
      ) : null}
      <Button kind="quiet" tone="muted" onPress={() => router.push('/removed')}>
        {t('removed.open')}
      </Button>
    </View>
  );
}
