import { groupBy, sortBy, type Arrangeable, type Grouping } from '@kotiva/core';
import { View } from 'react-native';
import { ArrangeButton, useHeading } from '@/features/arrange';
import { IN_LISTS, ItemRow, SelectButton, Selecting, SelectionBar } from '@/features/item';
import { useArrangement, type Arranging } from '@/store/arrangement.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Empty, GroupHead, LongRows, useWide } from '@/ui';
import { t } from '@/words';

interface FilteredItemsProps {
  /** What remembers how they are arranged: `whole`, or the id of a view. */
  view: string;
  usual?: Partial<Arranging>;
  entries: readonly Arrangeable[];
  /** What is said where there are none. */
  empty: string;
  /** Above them: by what they are narrowed. */
  children?: React.ReactNode;
}

/** Items from many lists, arranged as their reader has it: by list, by person, by day, or one below the other. */
export function FilteredItems({ view, usual, entries, empty, children }: FilteredItemsProps) {
  const { rows } = useOpenHouse();
  const heading = useHeading();
  const wide = useWide();
  const { arranged } = useArrangement(view, usual);
  const group: Exclude<Grouping, 'usual'> = arranged.group === 'usual' ? 'list' : arranged.group;
  const sorted = sortBy(entries, arranged.sort, rows);
  const nameOfList = (id: string | null): string | undefined => {
    const list = id ? rows.get('list', id) : 'absent';
    return typeof list === 'string' ? undefined : list.name;
  };
  const draw = (some: readonly Arrangeable[]) => (
    <LongRows rows={some} keyOf={({ item }) => item.id}>
      {({ item }) => <ItemRow item={item} sub={group === 'list' ? undefined : nameOfList(item.listId)} detail={arranged.detail} />}
    </LongRows>
  );
  return (
    <Selecting>
      <View className="flex-row flex-wrap items-start">
        <View className="min-w-0 grow shrink basis-0">{children}</View>
        <View className="ml-auto px-2 pt-3">
          <ArrangeButton
            view={view}
            usual={usual}
            groupings={['usual', 'person', 'date', 'tag', 'none']}
            usualGroup={t('group.list')}
            usualSort={t('sortBy.own')}
          >
            {(close) => (
              <View className="items-start">
                <SelectButton onStart={close} />
              </View>
            )}
          </ArrangeButton>
        </View>
      </View>
      <SelectionBar ids={entries.map(({ item }) => item.id)} only={IN_LISTS} />
      {entries.length === 0 ? <Empty words={empty} /> : null}
      {group === 'none' ? (
        draw(sorted)
      ) : (
        <View className={wide ? 'columns' : ''}>
          {groupBy(sorted, group, rows).map((one) => (
            <View key={one.key ?? 'none'} className={wide ? 'column-group' : ''}>
              <GroupHead title={heading(one)} count={one.entries.length} />
              {draw(one.entries)}
            </View>
          ))}
        </View>
      )}
    </Selecting>
  );
}
