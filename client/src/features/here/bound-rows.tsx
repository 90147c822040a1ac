import type { Candidate } from '@kotiva/core';
import { View } from 'react-native';
import { ItemRow } from '@/features/item';
import { useOpenHouse } from '@/store/store.ts';
import { GroupHead } from '@/ui';
import { t } from '@/words';

/** What can be done at a place, from all lists, each under its own: ticked where it stands. */
export function BoundRows({ some }: { some: readonly Candidate[] }) {
  const { rows } = useOpenHouse();
  const nameOf = (listId: string | null): string => {
    const list = listId === null ? undefined : rows.find('list', listId);
    return list === undefined ? t('here.noList') : list.name;
  };
  const names = [...new Set(some.map(({ item }) => nameOf(item.listId)))].sort((a, b) => a.localeCompare(b));
  return names.map((name) => {
    const inList = some.filter(({ item }) => nameOf(item.listId) === name);
    return (
      <View key={name} role="group" aria-label={name}>
        <GroupHead title={name} count={inList.length} />
        {inList.map(({ item, minutes, isGuess }) => (
          <ItemRow key={item.id} item={item} right={isGuess ? undefined : t('chip.effort', { minutes })} />
        ))}
      </View>
    );
  });
}
