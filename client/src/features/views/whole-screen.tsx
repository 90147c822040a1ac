import type { Arrangeable, Filter, List, Reader } from '@kotiva/core';
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
  const list = onlyListOf(narrowing.filter, rows);
  return (
    <Screen
      title={list?.name ?? t(state === 'open' ? 'whole.title' : 'whole.titleAll')}
      sub={t(state === 'open' ? 'whole.count' : 'whole.countAll', { count: entries.length })}
      strip
    >
      <FilteredItems
        view={list?.id ?? 'whole'}
        usual={list ? { group: 'none' } : undefined}
        entries={entries}
        ofOneList={list !== null}
        empty={t('whole.nothing')}
      >
        <NarrowBar narrowing={narrowing}>
          <SaveView narrowing={narrowing} />
        </NarrowBar>
        <BeyondFilter filter={narrowing.filter} />
      </FilteredItems>
    </Screen>
  );
}

/** The list all of it lies in, where only one will do. */
function onlyListOf({ match, conditions }: Filter, rows: Reader): List | null {
  const named = conditions.filter((condition) => condition.of === 'list' && !condition.not && condition.ids.length === 1);
  const [first] = named;
  if (named.length !== 1 || first?.of !== 'list' || (match === 'any' && conditions.length > 1)) return null;
  const list = rows.find('list', first.ids[0]!);
  return list ?? null;
}
