import { isDone } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { ItemRow, Steps } from '@/features/item';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Txt } from '@/ui';
import { t } from '@/words';

/** A set worked through, one thing at a time: checked off or passed over, the next one stands there. */
export function OneByOne({ items, onStop }: { items: readonly string[]; onStop: () => void }) {
  const { rows } = useOpenHouse();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const open = items
    .map((id) => rows.find('item', id))
    .filter((item) => item !== undefined)
    .filter((item) => !item.removedAt && !isDone(item, rows.by('part', 'itemId', item.id)));
  const current = open.find((item) => !skipped.includes(item.id));
  const done = items.length - open.length;
  return (
    <Screen title={t('fits.oneByOne')} sub={t('common.of', { done, of: items.length })}>
      {current ? (
        <>
          <ItemRow item={current} />
          {current.notes ? <Txt className="px-4 py-3">{current.notes}</Txt> : null}
          <View className="px-4">
            <Steps item={current} steps={rows.by('item', 'parentId', current.id).filter((step) => !step.removedAt)} canChange={false} />
          </View>
          <View className="flex-row gap-2 px-4 py-5">
            <Button onPress={() => setSkipped([...skipped, current.id])}>{t('fits.skip')}</Button>
            <Button kind="quiet" onPress={onStop}>
              {t('fits.stop')}
            </Button>
          </View>
        </>
      ) : (
        <Empty words={t(open.length === 0 ? 'fits.allDone' : 'fits.restSkipped', { count: open.length })} action={t('fits.stop')} onAction={onStop} />
      )}
    </Screen>
  );
}
