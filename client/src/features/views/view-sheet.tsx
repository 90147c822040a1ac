import type { Reason, SavedView } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { Button, Field, Foot, Heading, Sheet, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

interface ViewSheetProps {
  title: string;
  verb: string;
  view?: SavedView;
  /** Says why it does not do, if it does not. */
  onSave: (name: string, isShared: boolean) => Reason | null;
  onClose: () => void;
}

/** What a view is called, and whose it is. */
export function ViewSheet({ title, verb, view, onSave, onClose }: ViewSheetProps) {
  const [begin] = useState(() => ({ name: view?.name ?? '', isShared: view?.isShared ?? false }));
  const [{ name, isShared }, change, done] = useDraft(`view/${view?.id ?? 'new'}`, begin);
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    // closed first: what is led to lies on the page, not on the sheet
    const reason = onSave(name, isShared);
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <Field
          label={t('view.name')}
          value={name}
          maxLength={80}
          error={error}
          autoFocus
          onChangeText={(next) => change({ name: next, isShared })}
          onSubmitEditing={save}
        />
        <View>
          <Switch words={t('view.shared')} on={isShared} onChange={(on) => change({ name, isShared: on })} />
          <Txt size={15} tone="muted">
            {t('view.sharedMeans')}
          </Txt>
        </View>
        <Foot>
          <Button kind="main" onPress={save}>
            {verb}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
