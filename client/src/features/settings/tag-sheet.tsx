import { COLOURS, type Tag } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Field, Foot, Heading, Labelled, Sheet, personInk, Swatches, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { openTagged } from './open-tagged.ts';

/** A tag: its name, its colour, the broader word above it; made one with another, or taken off everything. */
export function TagSheet({ tag, onClose }: { tag: Tag; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState<Pick<Tag, 'name' | 'colour'> & { parent: string }>(() => ({ name: tag.name, colour: tag.colour, parent: tag.parentId ?? '' }));
  const [{ name, colour, parent }, setTyped, done] = useDraft(`tag/${tag.id}`, begin);
  const set = (some: Partial<typeof begin>) => setTyped((now) => ({ ...now, ...some }));
  const [into, setInto] = useState('');
  const [error, setError] = useState<string | null>(null);
  const others = rows
    .all('tag')
    .filter((other) => !other.removedAt && other.id !== tag.id)
    .sort((a, b) => a.name.localeCompare(b.name));
  const count = openTagged(tag.id, rows);
  const settle = (reason: ReturnType<typeof submit>) => {
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  const save = () => settle(submit('tag.change', { tag: tag.id, name, colour, parent: parent || null }, { words: t('said.saved'), ownRefusal: true }));
  const merge = () => settle(submit('tag.merge', { from: tag.id, into }, { words: t('said.tagMerged', { name: tag.name }), undo: true, ownRefusal: true }));
  const remove = () => settle(submit('tag.remove', { tag: tag.id }, { words: t('said.tagRemoved', { name: tag.name }), undo: true, ownRefusal: true }));
  const choices = (none: string) => [{ value: '', words: none }, ...others.map((other) => ({ value: other.id, words: `#${other.name}` }))];
  return (
    <Sheet open onClose={onClose} title={`#${tag.name}`} closeLabel={t('common.close')} head={<Heading level={2}>{`#${tag.name}`}</Heading>}>
      <View className="gap-5 pt-2">
        <Txt tone="muted">{t('tags.carriedBy', { count })}</Txt>
        <Field label={t('tags.name')} value={name} onChangeText={(next) => set({ name: next })} maxLength={40} error={error} />
        <Swatches
          inkOf={personInk}
          label={t('list.colour')}
          value={colour}
          options={COLOURS.map((one) => ({ value: one, words: t(`colour.${one}`) }))}
          onChange={(next) => set({ colour: next })}
        />
        {others.length > 0 ? (
          <Labelled words={t('tags.parent')}>
            <Choice label={t('tags.parent')} value={parent} options={choices(t('list.noBundle'))} onChange={(next) => set({ parent: next })} />
          </Labelled>
        ) : null}
        <Foot>
          <Button kind="main" onPress={save}>
            {t('common.save')}
          </Button>
        </Foot>
        {others.length > 0 ? (
          <View className="border-t border-line pt-4">
            <Labelled words={t('tags.mergeInto')}>
              <Choice label={t('tags.mergeInto')} value={into} options={choices(t('list.noBundle'))} onChange={setInto} />
              {into ? <Button onPress={merge}>{t('tags.merge')}</Button> : null}
            </Labelled>
          </View>
        ) : null}
        <View className="border-t border-line pt-4">
          <Button tone="late" onPress={remove}>
            {t('tags.remove')}
          </Button>
        </View>
      </View>
    </Sheet>
  );
}
