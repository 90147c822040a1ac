import { byPosition, progressOfList, type List } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { NewFromTemplate } from '@/features/templates';
import { ViewRows } from '@/features/views';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Fold, GroupHead, Icon, Menu, Row, useSheetAt } from '@/ui';
import { t } from '@/words';
import { sayMeasure } from '@/words/amounts.ts';
import { BundleSheet } from './bundle-sheet.tsx';
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
  const filed = lists.filter((list) => list.filedAt);
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
      {filed.length > 0 ? (
        <Fold words={t('lists.filed', { count: filed.length })}>
          {filed.map((list) => (
            <ListRow key={list.id} list={list} />
          ))}
        </Fold>
      ) : null}
      <RemovedRow />
      {making === 'list' ? <ListSheet onClose={() => setMaking(null)} /> : null}
      {making === 'bundle' ? <BundleSheet onClose={() => setMaking(null)} /> : null}
      {changed ? <BundleSheet bundle={changed} onClose={() => setChanged(null)} /> : null}
    </Screen>
  );
}

/** The way back for what was removed. */
function RemovedRow() {
  const router = useRouter();
  return (
    <View className="items-start px-2">
      <Button kind="quiet" tone="muted" onPress={() => router.push('/removed')}>
        {t('removed.open')}
      </Button>
    </View>
  );
}

function ListRow({ list }: { list: List }) {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const progress = progressOfList(list, rows);
  const shared = rows.by('share', 'listId', list.id).some((share) => share.access !== null);
  return (
    <Row
      lead={<Icon name={list.icon} size={22} colour={list.colour} />}
      title={list.name}
      sub={[list.purpose, shared ? null : t('lists.onlyYou')].filter(Boolean).join(' · ') || undefined}
      right={progress.of > 0 ? sayMeasure(progress) : undefined}
      rightTone="muted"
      onPress={() => router.push(`/lists/${list.id}`)}
    />
  );
}
