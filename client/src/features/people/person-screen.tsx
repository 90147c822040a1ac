import { countingParts, isDone, isHere, openParts, type Item, type Part } from '@kotiva/core';
import { View } from 'react-native';
import { useCaptureHere } from '@/features/capture';
import { ItemRow, nameOf } from '@/features/item';
import { Screen } from '@/features/shell';
import { usePlace } from '@/store/store.ts';
import { Empty, GroupHead, PersonMark } from '@/ui';
import { t } from '@/words';

/** What concerns one person: what I wait for, what they have in hand, what I owe them. */
export function PersonScreen({ personId }: { personId: string }) {
  const { rows, me } = usePlace();
  const person = rows.get('person', personId);
  const other = personId === me.id || typeof person === 'string' || !isHere(person) ? undefined : personId;
  useCaptureHere({ person: other, words: other ? t('capture.toPerson', { name: nameOf(rows, personId) }) : undefined });
  if (typeof person === 'string') {
    return (
      <Screen title={t('person.gone')}>
        <Empty words={t('person.goneWhy')} />
      </Screen>
    );
  }
  const open = openParts(rows.all('part')).filter((part) => !isItemDone(part));
  const theirs = itemsOf(open.filter((part) => part.personId === personId));
  const waited = theirs.filter((item) =>
    rows.by('part', 'itemId', item.id).some((part) => part.personId === personId && (part.giverId === me.id || part.originId === me.id)),
  );
  const others = theirs.filter((item) => !waited.includes(item));
  const owed = itemsOf(open.filter((part) => part.personId === me.id && (part.giverId === personId || part.originId === personId)));
  const own = personId === me.id;

  function isItemDone(part: Part): boolean {
    const item = rows.get('item', part.itemId);
    return typeof item === 'string' || item.removedAt !== null || isDone(item, countingParts(rows.by('part', 'itemId', item.id)));
  }
  function itemsOf(parts: readonly Part[]): Item[] {
    const items = parts.map((part) => rows.get('item', part.itemId)).filter((item): item is Item => typeof item !== 'string');
    return items.sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  }
  const group = (title: string, items: readonly Item[]) =>
    items.length === 0 ? null : (
      <View>
        <GroupHead title={title} count={items.length} />
        {items.map((item) => (
          <ItemRow
            key={item.id}
            item={item}
            sub={t('row.from', { name: nameOf(rows, rows.by('part', 'itemId', item.id).find((part) => part.giverId)?.giverId ?? item.makerId) })}
          />
        ))}
      </View>
    );

  return (
    <Screen title={person.name} sub={isHere(person) ? t(`role.${person.role}`) : t('person.left')} lead={<PersonMark looks={person} size={48} />}>
      {own ? group(t('person.inHandOwn'), theirs) : group(t('person.waitFor', { name: person.name }), waited)}
      {own ? null : group(t('person.inHand', { name: person.name }), others)}
      {own ? null : group(t('person.owe', { name: person.name }), owed)}
      {theirs.length + owed.length === 0 ? <Empty words={t('person.nothing', { name: person.name })} /> : null}
    </Screen>
  );
}
