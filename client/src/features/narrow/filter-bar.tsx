import type { Item } from '@kotiva/core';
import { meeting, type Filter } from '@kotiva/core/filtering';
import { View } from 'react-native';
import { useOpenHouse, usePlanView } from '@/store/store.ts';
import { NarrowBar } from './narrow-bar.tsx';
import { NarrowSheet } from './narrow-sheet.tsx';
import { useNarrowing } from './use-narrowing.ts';

export interface FilteredOf {
  /** What the view holds before it is narrowed; null: it is asked for elsewhere, so that nobody counts it. */
  items: readonly Item[] | null;
}

function useCounting(items: readonly Item[] | null): ((filter: Filter) => number) | null {
  const { rows } = useOpenHouse();
  const view = usePlanView();
  if (items === null) return null;
  return (filter) => {
    const meets = meeting({ ...filter, state: 'both' }, view, rows);
    return new Set(items.filter((item) => meets(item)).map(({ id }) => id)).size;
  };
}

/** By what the view is narrowed, in words. */
export function FilterBar({ items }: FilteredOf) {
  return (
    <View className="pb-3">
      <NarrowBar narrowing={useNarrowing()} countOf={useCounting(items)} />
    </View>
  );
}

export function FilterSheet({ items, onClose }: FilteredOf & { onClose: () => void }) {
  const narrowing = useNarrowing();
  return (
    <NarrowSheet
      filter={narrowing.filter}
      at={null}
      countOf={useCounting(items)}
      onClose={(next) => {
        onClose();
        narrowing.set(next);
      }}
    />
  );
}
