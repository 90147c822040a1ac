import { byPosition, type Detail, type Item, type List, type Section } from '@kotiva/core';
import { View } from 'react-native';
import { Outline, sayRemoved } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import type { MenuEntry } from '@/ui';
import { t } from '@/words';
import { SectionHead } from './section-head.tsx';

const UNHEADED = '';

interface SectionedItemsProps {
  list: List;
  open: readonly Item[];
  detail: Detail;
  mayShape: boolean;
  mayMove: boolean;
  /** The section that what is typed goes to, and choosing another; null where nothing can be added. */
  addingTo: { section: string | null; choose: (section: string | null) => void } | null;
}

/** A list as it was laid out: its sections, on a wide screen as columns of a paper. */
export function SectionedItems({ list, open, detail, mayShape, mayMove, addingTo }: SectionedItemsProps) {
  const { rows } = useOpenHouse();
  const sections = rows
    .by('section', 'listId', list.id)
    .filter((one) => !one.removedAt)
    .sort(byPosition);
  const inSection = (key: string) => open.filter((item) => (item.sectionId ?? UNHEADED) === key);
  const groups = [null, ...sections].map((section) => ({
    key: section?.id ?? UNHEADED,
    section,
    top: inSection(section?.id ?? UNHEADED),
    spot: { list: list.id, section: section?.id ?? null },
  }));
  const moreOf = useMoreOf(sections);
  return (
    <Outline groups={groups} detail={detail} withSteps={detail === 'full'} canMove={mayMove} moreOf={moreOf}>
      {(draw) => (
        <View className="lg:flex-row lg:flex-wrap lg:gap-x-8">
          {groups.map((group) =>
            group.top.length === 0 && !group.section ? null : (
              <View key={group.key || 'unheaded'} className="lg:min-w-[320px] lg:max-w-[440px] lg:grow lg:basis-[320px]">
                {group.section ? (
                  <SectionHead
                    section={group.section}
                    count={group.top.length}
                    mayShape={mayShape}
                    mayChange={mayMove}
                    sections={sections}
                    chosen={addingTo?.section === group.section.id}
                    onAddHere={addingTo ? () => addingTo.choose(addingTo.section === group.section!.id ? null : group.section!.id) : null}
                  />
                ) : null}
                {draw(group)}
              </View>
            ),
          )}
        </View>
      )}
    </Outline>
  );
}

/** Beside moving: to another section, and away. */
function useMoreOf(sections: readonly Section[]): (item: Item) => MenuEntry[] {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  return (item) => [
    ...(item.parentId === null
      ? sections
          .filter((section) => section.id !== item.sectionId)
          .map((section) => ({
            key: section.id,
            words: t('move.toSection', { name: section.name }),
            onPress: () => void submit('item.move', { items: [item.id], list: item.listId, section: section.id }, { words: t('said.reordered'), undo: true }),
          }))
      : []),
    {
      key: 'remove',
      words: t('item.remove'),
      late: true,
      onPress: () => void submit('item.remove', { items: [item.id] }, { words: sayRemoved(item, rows), undo: true }),
    },
  ];
}
