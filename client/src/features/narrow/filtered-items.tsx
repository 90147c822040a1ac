import { groupBy, sortBy, type Arrangeable, type BoardBy, type Grouping, type Layout } from '@kotiva/core';
import { View } from 'react-native';
import { ArrangeButton, LayoutTabs, useHeading, useLayout } from '@/features/arrange';
import { fieldChoices, fieldsAmong, type FieldChoice } from '@/features/fields';
import { ItemsInCalendar } from '@/features/calendar';
import { IN_LISTS, ItemRow, SelectButton, Selecting, SelectionBar } from '@/features/item';
import { ItemsBoard, ItemsPriorities, ItemsTable, ItemsTiles } from '@/features/layouts';
import { useArrangement, type Arranging } from '@/store/arrangement.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Empty, GroupHead, LongRows, useWide } from '@/ui';
import { t } from '@/words';

interface FilteredItemsProps {
  /** What remembers how they are arranged: `whole`, or the id of a view. */
  view: string;
  usual?: Partial<Arranging>;
  entries: readonly Arrangeable[];
  /** They are of one list: its sections can be columns. */
  ofOneList?: boolean;
  /** What is said where there are none. */
  empty: string;
  /** Above them: by what they are narrowed. */
  children?: React.ReactNode;
}

const LAYOUTS: readonly Layout[] = ['rows', 'tiles', 'table', 'board', 'calendar', 'priorities'];
const BOARD_BYS: readonly BoardBy[] = ['person', 'list', 'stage', 'importance'];
const BOARD_BYS_OF_LIST: readonly BoardBy[] = ['person', 'stage', 'section', 'importance'];

/** Items from many lists, arranged as their reader has it: as rows, tiles, a table, a board or a calendar. */
export function FilteredItems({ view, usual, entries, ofOneList = false, empty, children }: FilteredItemsProps) {
  const wide = useWide();
  const { rows } = useOpenHouse();
  const byField = fieldChoices(
    fieldsAmong(
      entries.map(({ item }) => item.listId),
      rows,
    ),
  );
  return (
    <Selecting>
      <View className="flex-row flex-wrap items-start">
        <View className="min-w-36 grow shrink basis-0">{children}</View>
        <View className="ml-auto flex-row items-center px-2 pt-3">
          {wide ? <LayoutTabs view={view} usual={usual} layouts={LAYOUTS} /> : null}
          <ArrangeButton
            view={view}
            usual={usual}
            layouts={LAYOUTS}
            boardBys={[...(ofOneList ? BOARD_BYS_OF_LIST : BOARD_BYS), ...byField.boardBys]}
            fields={byField.fields}
            groupings={['usual', 'person', 'date', 'tag', 'stage', ...byField.groupings, 'none']}
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
      {entries.length === 0 ? <Empty words={empty} /> : <LaidOut view={view} usual={usual} entries={entries} ofOneList={ofOneList} fields={byField.fields} />}
    </Selecting>
  );
}

type LaidOutProps = Pick<FilteredItemsProps, 'view' | 'usual' | 'entries' | 'ofOneList'> & { fields: readonly FieldChoice[] };

function LaidOut({ view, usual, entries, ofOneList, fields }: LaidOutProps) {
  const { rows } = useOpenHouse();
  const { layout } = useLayout(view, usual);
  const { arranged, arrange } = useArrangement(view, usual);
  const sorted = sortBy(entries, arranged.sort, rows, arranged.isDescending);
  const nameOfList = ({ item }: Arrangeable): string | undefined => {
    const list = item.listId && !ofOneList ? rows.find('list', item.listId) : undefined;
    return list?.name;
  };
  switch (layout) {
    case 'table':
      return <ItemsTable entries={sorted} arranged={arranged} arrange={arrange} fields={fields} />;
    case 'board':
      return (
        <ItemsBoard
          entries={sorted}
          by={arranged.boardBy}
          detail={arranged.detail}
          subOf={(entry) => (arranged.boardBy === 'list' ? undefined : nameOfList(entry))}
        />
      );
    case 'priorities':
      return <ItemsPriorities entries={sorted} />;
    case 'calendar':
      return <ItemsInCalendar itemIds={sorted.map(({ item }) => item.id)} />;
    case 'rows':
    case 'tiles': {
      const group: Exclude<Grouping, 'usual'> = arranged.group === 'usual' ? 'list' : arranged.group;
      const subOf = (entry: Arrangeable) => (group === 'list' ? undefined : nameOfList(entry));
      return (
        <Grouped entries={sorted} group={group} isPaper={layout === 'rows'}>
          {(some) =>
            layout === 'tiles' ? (
              <ItemsTiles entries={some} detail={arranged.detail} subOf={subOf} />
            ) : (
              <LongRows rows={some} keyOf={({ item }) => item.id}>
                {(entry) => <ItemRow item={entry.item} sub={subOf(entry)} detail={arranged.detail} />}
              </LongRows>
            )
          }
        </Grouped>
      );
    }
  }
}

interface GroupedProps {
  entries: readonly Arrangeable[];
  group: Exclude<Grouping, 'usual'>;
  /** Groups run on in columns where there is room. */
  isPaper: boolean;
  children: (some: readonly Arrangeable[]) => React.ReactNode;
}

function Grouped({ entries, group, isPaper, children }: GroupedProps) {
  const { rows } = useOpenHouse();
  const heading = useHeading();
  const wide = useWide();
  const inColumns = isPaper && wide;
  if (group === 'none') return children(entries);
  return (
    <View className={inColumns ? 'columns' : ''}>
      {groupBy(entries, group, rows).map((one) => (
        <View key={one.key ?? 'none'} className={inColumns ? 'column-group' : ''}>
          <GroupHead title={heading(one)} count={one.entries.length} />
          {children(one.entries)}
        </View>
      ))}
    </View>
  );
}
