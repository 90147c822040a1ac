import { allows, byPosition, type Item } from '@kotiva/core';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t } from '@/words';

interface PlaceListProps {
  here: Pick<Item, 'listId' | 'sectionId'> | null;
  onChoose: (list: string, section: string | null, name: string) => void;
  onClose: () => void;
}

/** The lists one may add to, with their sections. */
export function PlaceList({ here, onChoose, onClose }: PlaceListProps) {
  const { rows, me } = useOpenHouse();
  const lists = rows
    .all('list')
    .filter((list) => !list.removedAt && !list.filedAt && mayAdd(list.id))
    .sort(byPosition);
  function mayAdd(listId: string): boolean {
    return allows({ permission: 'add', list: listId }, me, rows);
  }
  return (
    <View className="my-2 gap-1 rounded-sheet bg-ground p-4">
      {lists.map((list) => {
        const sections = rows
          .by('section', 'listId', list.id)
          .filter((section) => !section.removedAt)
          .sort(byPosition);
        return (
          <View key={list.id} className="flex-row flex-wrap items-center gap-x-1">
            <Button kind="quiet" tone={here?.listId === list.id && !here.sectionId ? 'ink' : 'plan'} onPress={() => onChoose(list.id, null, list.name)}>
              {list.name}
            </Button>
            {sections.map((section) => (
              <Button
                key={section.id}
                kind="quiet"
                tone={here?.sectionId === section.id ? 'ink' : 'plan'}
                onPress={() => onChoose(list.id, section.id, `${list.name}, ${section.name}`)}
              >
                {`· ${section.name}`}
              </Button>
            ))}
          </View>
        );
      })}
      {lists.length === 0 ? <Txt tone="muted">{t('lists.none')}</Txt> : null}
      <View className="items-start">
        <Button kind="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </View>
    </View>
  );
}

/** Moves an item to another list or section, with everything under it. */
export function WherePanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const submit = useSubmit();
  const move = (list: string, section: string | null, name: string) => {
    if (!submit('item.move', { items: [item.id], list, section }, { words: t('said.moved', { list: name }), undo: true })) onClose();
  };
  return <PlaceList here={item} onChoose={move} onClose={onClose} />;
}

/** Makes a second, independent item of it in a list one may add to. */
export function CopyPanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const submit = useSubmit();
  const copy = (list: string, section: string | null, name: string) => {
    const words = t('decided.copied', { what: t('decide.one', { title: item.title }), list: name });
    if (!submit('item.copy', { items: [item.id], list, section }, { words, undo: true })) onClose();
  };
  return <PlaceList here={null} onChoose={copy} onClose={onClose} />;
}
