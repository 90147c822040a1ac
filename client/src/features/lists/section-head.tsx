import { isDone, type Section } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { ToPerson, useDecide, WaitingPanel } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, Heading, Menu, Sheet, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { NameSheet } from './name-sheet.tsx';

interface SectionHeadProps {
  section: Section;
  sections: readonly Section[];
  count: number;
  mayShape: boolean;
  mayChange: boolean;
  chosen: boolean;
  onAddHere: (() => void) | null;
}

/** The heading of a section: how many are open, and what can be done with it. */
export function SectionHead({ section, sections, count, mayShape, mayChange, chosen, onAddHere }: SectionHeadProps) {
  const submit = useSubmit();
  const [renaming, setRenaming] = useState(false);
  const [whole, setWhole] = useState<'hand' | 'wait' | null>(null);
  const at = sections.indexOf(section);
  const together: MenuEntry[] =
    mayChange && count > 0
      ? [
          { key: 'hand', words: t('section.handOver'), onPress: () => setWhole('hand') },
          { key: 'wait', words: t('section.waits'), onPress: () => setWhole('wait') },
        ]
      : [];
  const shaping: MenuEntry[] = mayShape
    ? [
        { key: 'rename', words: t('common.rename'), onPress: () => setRenaming(true) },
        ...(at > 0
          ? [{ key: 'up', words: t('move.up'), onPress: () => void submit('section.move', { section: section.id, before: sections[at - 1]!.id }) }]
          : []),
        ...(at < sections.length - 1
          ? [{ key: 'down', words: t('move.down'), onPress: () => void submit('section.move', { section: section.id, after: sections[at + 1]!.id }) }]
          : []),
        {
          key: 'remove',
          words: t('section.remove'),
          late: true,
          onPress: () => void submit('section.remove', { section: section.id }, { words: t('said.sectionRemoved', { name: section.name }), undo: true }),
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
        <Menu label={t('section.more', { name: section.name })} entries={[...together, ...shaping]} />
      </View>
      {whole ? <WholeSection section={section} what={whole} onClose={() => setWhole(null)} /> : null}
      {renaming ? (
        <NameSheet
          title={t('common.rename')}
          verb={t('common.save')}
          label={t('section.name')}
          startsAs={section.name}
          onClose={() => setRenaming(false)}
          onName={(name) => submit('section.change', { section: section.id, name }, { ownRefusal: true })}
        />
      ) : null}
    </GroupHead>
  );
}

/** Everything open in a section, as one: to somebody, or waiting for something. */
function WholeSection({ section, what, onClose }: { section: Section; what: 'hand' | 'wait'; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const items = rows
    .by('item', 'listId', section.listId)
    .filter((item) => item.sectionId === section.id && item.parentId === null && item.removedAt === null && !isDone(item, rows.by('part', 'itemId', item.id)))
    .map(({ id }) => id);
  const decide = useDecide(items, onClose);
  const title = t(what === 'hand' ? 'section.handTitle' : 'section.waitTitle', { name: section.name });
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      {what === 'hand' ? <ToPerson items={items} onHand={decide.toPersons} onClose={onClose} /> : <WaitingPanel items={items} onClose={onClose} />}
    </Sheet>
  );
}
