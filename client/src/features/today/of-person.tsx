import { isDone, isLate, openParts, type Item } from '@kotiva/core';
import { View } from 'react-native';
import { FilterBar, FilterButton, useFilterHere } from '@/features/filter-here';
import { personOf, useOpenItem } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Empty, GroupHead, KnotMark, Row } from '@/ui';
import { t } from '@/words';
import { sayDue } from '@/words/dates.ts';

/** The screen narrowed to somebody else: what they have in hand, as far as it can be seen from here. */
export function OfPerson({ personId }: { personId: string }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const open = useOpenItem();
  const person = personOf(rows, personId);
  const { isOn, meets } = useFilterHere();
  const everything = openParts(rows.all('part'))
    .filter((part) => part.personId === personId)
    .map((part) => rows.find('item', part.itemId))
    .filter((item): item is Item => item !== undefined && !item.removedAt && !isDone(item, rows.by('part', 'itemId', item.id)))
    .sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  const items = everything.filter(meets);
  return (
    <View>
      {isOn ? <FilterBar items={everything} /> : null}
      <View className="flex-row items-end">
        <View className="min-w-0 grow shrink basis-0">
          <GroupHead title={t('today.ofPerson', { name: person?.name ?? '' })} count={items.length || undefined} />
        </View>
        <FilterButton items={everything} />
      </View>
      {items.length === 0 ? <Empty words={isOn ? t('filter.nothingHere') : t('today.nothingOf', { name: person?.name ?? '' })} /> : null}
      {items.map((item) => {
        const late = isLate(item, now, house.zone);
        return (
          <Row
            key={item.id}
            title={item.title}
            lead={<KnotMark state="taken" colour={person?.colour ?? null} />}
            right={item.due ? sayDue(item.due, late, now, house.zone) : undefined}
            rightTone={late ? 'late' : 'ink'}
            onPress={() => open(item.id)}
          />
        );
      })}
    </View>
  );
}
