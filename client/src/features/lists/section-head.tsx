import type { Section } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { Button, GroupHead, Menu, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { NameSheet } from './name-sheet.tsx';

interface SectionHeadProps {
  section: Section;
  sections: readonly Section[];
  count: number;
  mayShape: boolean;
  chosen: boolean;
  onAddHere: (() => void) | null;
}

/** The heading of a section: how many are open, and what can be done with it. */
export function SectionHead({ section, sections, count, mayShape, chosen, onAddHere }: SectionHeadProps) {
  const give = useGive();
  const [renaming, setRenaming] = useState(false);
  const at = sections.indexOf(section);
  const entries: MenuEntry[] = mayShape
    ? [
        { key: 'rename', words: t('common.rename'), onPress: () => setRenaming(true) },
        ...(at > 0
          ? [{ key: 'up', words: t('move.up'), onPress: () => void give('section.move', { section: section.id, before: sections[at - 1]!.id }) }]
          : []),
        ...(at < sections.length - 1
          ? [{ key: 'down', words: t('move.down'), onPress: () => void give('section.move', { section: section.id, after: sections[at + 1]!.id }) }]
          : []),
        {
          key: 'remove',
          words: t('section.remove'),
          late: true,
          onPress: () => void give('section.remove', { section: section.id }, { words: t('said.sectionRemoved', { name: section.name }), undo: true }),
        },
      ]
    : [];
  return (
    <GroupHead title={section.name} count={count}>
      <View className="flex-row items-center">
        {onAddHere ? (
          <Button
            kind="quiet"
            tone={chosen ? 'ink' : 'plan'}
            label={t('section.addHereTo', { words: t(chosen ? 'section.addingHere' : 'section.addHere'), name: section.name })}
            onPress={onAddHere}
          >
            {t(chosen ? 'section.addingHere' : 'section.addHere')}
          </Button>
        ) : null}
        <Menu label={t('section.more', { name: section.name })} entries={entries} />
      </View>
      {renaming ? (
        <NameSheet
          title={t('common.rename')}
          verb={t('common.save')}
          label={t('section.name')}
          startsAs={section.name}
          onClose={() => setRenaming(false)}
          onName={(name) => give('section.change', { section: section.id, name }, { ownRefusal: true })}
        />
      ) : null}
    </GroupHead>
  );
}
