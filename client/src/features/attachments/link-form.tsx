import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { ConfirmRow, Field } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import type { FileHost } from './host.ts';

/** The address of something kept elsewhere. */
export function LinkForm({ host, onClose }: { host: FileHost; onClose: () => void }) {
  const submit = useSubmit();
  const [typed, setTyped, done] = useDraft(`link/${host.id}`, NOTHING);
  const [error, setError] = useState<string | null>(null);
  const close = () => {
    done();
    onClose();
  };
  const save = () => {
    const name = typed.name.trim() ? { name: typed.name } : {};
    const reason = submit('attachment.link', { ...host.names, url: typed.url, ...name }, { ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else close();
  };
  return (
    <View className="gap-3 rounded-sheet bg-ground p-4">
      <Field
        label={t('files.link')}
        placeholder="https://"
        inputMode="url"
        value={typed.url}
        error={error}
        maxLength={2_000}
        autoFocus
        onChangeText={(url) => {
          setTyped({ ...typed, url });
          setError(null);
        }}
        onSubmitEditing={save}
      />
      <Field label={t('files.linkName')} value={typed.name} maxLength={200} onChangeText={(name) => setTyped({ ...typed, name })} onSubmitEditing={save} />
      <ConfirmRow verb={t('files.addThat')} disabled={!typed.url.trim()} onConfirm={save} cancel={t('common.cancel')} onCancel={close} />
    </View>
  );
}

const NOTHING = { url: '', name: '' };
