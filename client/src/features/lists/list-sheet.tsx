import { byPosition, COLOURS, type Colour, type List, type ListIcon, type ListKind } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { usePlace } from '@/store/store.ts';
import { Button, Choice, Field, Heading, Labelled, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { ColourAndIcon } from './colour-and-icon.tsx';

/** A new list, or what an existing one is called, looks like and is for. */
export function ListSheet({ list, onClose }: { list?: List; onClose: () => void }) {
  const { rows } = usePlace();
  const give = useGive();
  const [name, setName] = useState(list?.name ?? '');
  const [purpose, setPurpose] = useState(list?.purpose ?? '');
  const [colour, setColour] = useState<Colour>(list?.colour ?? COLOURS[rows.all('list').length % COLOURS.length]!);
  const [icon, setIcon] = useState<ListIcon>(list?.icon ?? 'list');
  const [kind, setKind] = useState<ListKind>(list?.kind ?? 'working');
  const [bundle, setBundle] = useState<string>(list?.bundleId ?? '');
  const [sections, setSections] = useState('');
  const [error, setError] = useState<string | null>(null);
  const bundles = rows
    .all('bundle')
    .filter((one) => !one.removedAt)
    .sort(byPosition);

  const save = () => {
    const looks = { name, purpose, colour, icon, kind, bundle: bundle || null };
    const names = sections
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    const reason = list
      ? give('list.change', { list: list.id, ...looks }, { ownRefusal: true })
      : give('list.make', { ...looks, sections: names }, { words: t('said.listMade', { name }), undo: true, ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else onClose();
  };

  const title = t(list ? 'list.change' : 'lists.make');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Field label={t('list.name')} value={name} onChangeText={setName} error={error} autoFocus={!list} />
        <Field label={t('list.purpose')} value={purpose} onChangeText={setPurpose} maxLength={300} />
        {list ? null : <Field label={t('list.sections')} hint={t('list.sectionsHint')} value={sections} onChangeText={setSections} multiline />}
        <ColourAndIcon colour={colour} icon={icon} onColour={setColour} onIcon={setIcon} />
        <Labelled words={t('list.kind')}>
          <Choice
            label={t('list.kind')}
            value={kind}
            onChange={setKind}
            options={(['working', 'undated', 'reference'] as const).map((value) => ({ value, words: t(`kind.${value}`) }))}
          />
          <Txt size={15} tone="muted">
            {t(`kind.${kind}Means`)}
          </Txt>
        </Labelled>
        {bundles.length > 0 ? (
          <Labelled words={t('list.bundle')}>
            <Choice
              label={t('list.bundle')}
              value={bundle}
              onChange={setBundle}
              options={[{ value: '', words: t('list.noBundle') }, ...bundles.map((one) => ({ value: one.id, words: one.name }))]}
            />
          </Labelled>
        ) : null}
        <Button kind="main" onPress={save}>
          {t(list ? 'common.save' : 'lists.makeIt')}
        </Button>
      </View>
    </Sheet>
  );
}
