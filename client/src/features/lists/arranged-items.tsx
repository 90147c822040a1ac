import { groupBy, partFor, sortBy, type Arrangeable, type Item } from '@kotiva/core';
import { View } from 'react-native';
import { useHeading } from '@/features/arrange';
import { ItemRow } from '@/features/item';
import type { Arranging } from '@/store/arrangement.ts';
import { useOpenHouse } from '@/store/store.ts';
import { GroupHead, LongRows } from '@/ui';

/** A list put together in another way than it was laid out. */
export function ArrangedItems({ open, arranged: { group, sort, isDescending, detail } }: { open: readonly Item[]; arranged: Arranging }) {
  const { rows, me } = useOpenHouse();
  const heading = useHeading();
  const entries = open.map((item): Arrangeable => ({ item, part: partFor(item, rows.by('part', 'itemId', item.id), me.id, rows) }));
  const sorted = sortBy(entries, sort, rows, isDescending);
  const draw = (some: readonly Arrangeable[]) => (
    <LongRows rows={some} keyOf={({ item }) => item.id}>
      {({ item }) => <ItemRow item={item} detail={detail} />}
    </LongRows>
  );
  if (group === 'usual' || group === 'none') return draw(sorted);
  return groupBy(sorted, group, rows).map((one) => (
    <View key={one.key ?? 'none'}>
      <GroupHead title={heading(one)} count={one.entries.length} />
      {draw(one.entries)}
    </View>
  ));
}
