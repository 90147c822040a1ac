import type { Arrangeable } from '@kotiva/core';
import { useCaptureHere } from '@/features/capture';
import { BeyondFilter, FilteredItems, NarrowBar, useDemands, useFiltering, useNarrowing } from '@/features/narrow';
import { Screen } from '@/features/shell';
import { useNarrowed, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { SaveView } from './save-view.tsx';

/** Everything open, from every list, narrowed to what one is after: by the strip to a person, by a filter to anything. */
export function WholeScreen() {
  const { rows, me } = useOpenHouse();
  const narrow = useNarrowed();
  const narrowing = useNarrowing();
  const filtering = useFiltering();
  const hasPerson = ({ item }: Arrangeable) =>
    narrow === null || rows.by('part', 'itemId', item.id).some((part) => part.personId === narrow && !part.takenBackAt && part.standing !== 'completed');
  const entries = filtering(narrowing.filter).filter(hasPerson);
  const demands = useDemands(narrowing.filter);
  useCaptureHere({ ...demands, person: narrow === null || narrow === me.id ? demands.person : narrow });
  const { state } = narrowing.filter;
  return (
    <Screen
      title={t(state === 'open' ? 'whole.title' : 'whole.titleAll')}
      sub={t(state === 'open' ? 'whole.count' : 'whole.countAll', { count: entries.length })}
      strip
    >
      <FilteredItems view="whole" entries={entries} empty={t('whole.nothing')}>
        <NarrowBar narrowing={narrowing}>
          <SaveView narrowing={narrowing} />
        </NarrowBar>
        <BeyondFilter filter={narrowing.filter} />
      </FilteredItems>
    </Screen>
  );
}
