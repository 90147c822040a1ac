import { byPosition, isDone } from '@kotiva/core';
import { memo } from 'react';
import { View } from 'react-native';
import { ItemRow } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead } from '@/ui';
import { t } from '@/words';

/** What a new house begins with, as things to do, in sight until they are done or dismissed. Their owner’s alone. */
export const HintsOnToday = memo(function HintsOnToday() {
  const { rows, me, house } = useOpenHouse();
  const submit = useSubmit();
  const list = house.hintsListId === null ? undefined : rows.find('list', house.hintsListId);
  if (list === undefined || list.removedAt !== null || list.ownerId !== me.id) return null;
  const open = rows
    .by('item', 'listId', list.id)
    .filter((item) => item.removedAt === null && !isDone(item, rows.by('part', 'itemId', item.id)))
    .sort(byPosition);
  if (open.length === 0) return null;
  return (
    <View role="region" aria-label={list.name}>
      <GroupHead title={list.name} sub={t('hints.what')}>
        <Button kind="quiet" onPress={() => void submit('list.remove', { list: list.id }, { words: t('said.hintsAway'), undo: true })}>
          {t('hints.away')}
        </Button>
      </GroupHead>
      {open.map((item) => (
        <ItemRow key={item.id} item={item} />
      ))}
    </View>
  );
});
