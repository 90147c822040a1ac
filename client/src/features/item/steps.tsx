import { isDone, type Item } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Field, Heading, Menu, Txt, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { Outline } from './outline-rows.tsx';
import { sayRemoved } from './say-removed.ts';

/** The steps of an item, at any depth; a field below keeps taking more. */
export function Steps({ item, steps, canChange }: { item: Item; steps: readonly Item[]; canChange: boolean }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [typed, setTyped, added] = useDraft(`step/${item.id}`, '');
  const [error, setError] = useState<string | null>(null);
  if (steps.length === 0 && !canChange) return null;
  const done = steps.filter((step) => isDone(step, rows.by('part', 'itemId', step.id))).length;
  const add = () => {
    if (!typed.trim()) return;
    const reason = submit('item.add', { title: typed, parent: item.id }, { ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) added();
  };
  const toNotes = () => void submit('item.stepsToNotes', { item: item.id, steps: steps.map(({ id }) => id) }, { words: t('item.stepsAreNotes'), undo: true });
  const moreOf = (step: Item): MenuEntry[] => [
    {
      key: 'own',
      words: t('move.own'),
      onPress: () =>
        void submit(
          'item.move',
          { items: [step.id], list: item.listId, section: item.sectionId, parent: item.parentId, after: item.id },
          { words: t('said.ownItem', { title: step.title }), undo: true },
        ),
    },
    {
      key: 'remove',
      words: t('item.remove'),
      late: true,
      onPress: () => void submit('item.remove', { items: [step.id] }, { words: sayRemoved(step, rows), undo: true }),
    },
  ];
  const group = { key: item.id, top: steps, spot: { parent: item.id } };
  return (
    <View className="mt-4">
      <View className="flex-row items-center gap-2">
        <Heading level={3}>{t('item.steps')}</Heading>
        {steps.length > 0 ? (
          <Txt size={13} tone="muted">
            {t('common.of', { done, of: steps.length })}
          </Txt>
        ) : null}
        {canChange && steps.length > 0 ? (
          <View className="-my-2 ml-auto">
            <Menu label={t('item.stepsMore')} entries={[{ key: 'notes', words: t('item.stepsToNotes'), onPress: toNotes }]} />
          </View>
        ) : null}
      </View>
      <View className="-mx-2">
        <Outline groups={[group]} withSteps canMove={canChange} moreOf={moreOf}>
          {(draw) => draw(group)}
        </Outline>
      </View>
      {canChange ? (
        <Field
          label={t('item.addStep')}
          hideLabel
          placeholder={t('item.addStep')}
          value={typed}
          onChangeText={setTyped}
          onSubmitEditing={add}
          error={error}
          className="mt-2"
        />
      ) : null}
    </View>
  );
}
