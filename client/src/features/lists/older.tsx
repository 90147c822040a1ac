import { useState } from 'react';
import { View } from 'react-native';
import { BeyondLine } from '@/features/beyond';
import { useHouseState, useOpenHouse } from '@/store/store.ts';
import { useBeyond } from '@/store/use-beyond.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';

/** Of what is done in a list the device holds the newest: the rest comes when it is asked for. */
export function Older({ listId }: { listId: string }) {
  const { rows } = useOpenHouse();
  const isWhole = useHouseState(({ from }) => from === 0);
  const [before, setBefore] = useState<number | null>(null);
  const reached = useBeyond(before === null ? null : { list: listId, before });
  const oldest = Math.min(...rows.by('item', 'listId', listId).map(({ seq }) => seq));
  if (isWhole || !Number.isFinite(oldest)) return null;
  if (before !== null && reached !== 'here') return <BeyondLine reached={reached} />;
  if (before !== null && oldest >= before) {
    return (
      <Txt size={15} tone="muted" className="px-4 py-2">
        {t('list.noOlder')}
      </Txt>
    );
  }
  return (
    <View className="items-start px-4 pb-2">
      <Button kind="quiet" onPress={() => setBefore(oldest)}>
        {t('list.older')}
      </Button>
    </View>
  );
}
