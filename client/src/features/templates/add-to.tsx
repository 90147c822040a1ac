import type { Template } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { Field } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

/** One more of a template, by a line and Enter; the next can be typed at once. */
export function AddTo({
  template,
  section = null,
  parent = null,
  label,
}: {
  template: Template;
  section?: string | null;
  parent?: string | null;
  label: string;
}) {
  const submit = useSubmit();
  const [title, setTitle, done] = useDraft(`template-add/${template.id}/${parent ?? section ?? ''}`, '');
  const [error, setError] = useState<string | null>(null);
  const add = () => {
    if (!title.trim()) return;
    const reason = submit(
      'templateItem.add',
      { template: template.id, title, parent, section },
      { words: t('said.templateAdded', { title: title.trim() }), undo: true, ownRefusal: true },
    );
    setError(reason ? sayReason(reason) : null);
    if (!reason) done();
  };
  return (
    <View className={parent === null ? 'px-4 py-2' : ''}>
      <Field
        label={label}
        hideLabel
        placeholder={label}
        value={title}
        error={error}
        maxLength={500}
        onSubmitEditing={add}
        onChangeText={(next) => {
          setTitle(next);
          setError(null);
        }}
      />
    </View>
  );
}
