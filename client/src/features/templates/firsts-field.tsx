import { folded, type TemplateItem } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, Labelled, Row } from '@/ui';
import { t } from '@/words';

const SHOWN = 5;

interface FirstsFieldProps {
  item: TemplateItem;
  /** Ids of items of the same template. */
  firsts: readonly string[];
  error: string | null;
  onChange: (firsts: string[]) => void;
}

/** What of the same template has to be done first: found by a few letters, taken out by a tap. */
export function FirstsField({ item, firsts, error, onChange }: FirstsFieldProps) {
  const { rows } = useOpenHouse();
  const [typed, setTyped] = useState('');
  const there = rows.by('templateItem', 'templateId', item.templateId).filter(({ id, removedAt }) => removedAt === null && id !== item.id);
  const letters = folded(typed.trim());
  const found = letters === '' ? [] : there.filter(({ id, title }) => !firsts.includes(id) && folded(title).includes(letters)).slice(0, SHOWN);
  if (there.length === 0) return null;
  return (
    <Labelled words={t('template.firsts')}>
      <View className="gap-2">
        {there
          .filter(({ id }) => firsts.includes(id))
          .map(({ id, title }) => (
            <View key={id} className="items-start">
              <Button icon="close" label={t('template.firstOut', { title })} onPress={() => onChange(firsts.filter((other) => other !== id))}>
                {title}
              </Button>
            </View>
          ))}
        <Field
          label={t('template.firsts')}
          hideLabel
          placeholder={t('template.firstsHint')}
          value={typed}
          maxLength={200}
          error={error}
          onChangeText={setTyped}
        />
        <View className="-mx-4">
          {found.map(({ id, title }) => (
            <Row
              key={id}
              title={title}
              onPress={() => {
                onChange([...firsts, id]);
                setTyped('');
              }}
            />
          ))}
        </View>
      </View>
    </Labelled>
  );
}
