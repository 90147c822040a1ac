import type { Item, Wanted } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { Button, Choice, ConfirmRow, Field } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

/** What is asked for when it is checked off. */
export function WantedPanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const submit = useSubmit();
  const [begin] = useState<Wanted>(() => item.wanted ?? { kind: 'number', what: '', unit: '' });
  const [{ kind, what, unit }, setTyped, done] = useDraft(`wanted/${item.id}`, begin);
  const type = (some: Partial<Wanted>) => setTyped((now) => ({ ...now, ...some }));
  const [error, setError] = useState<string | null>(null);
  const set = (wanted: Wanted | null) => {
    const reason = submit('item.change', { item: item.id, wanted }, { words: t(wanted ? 'said.wanted' : 'said.nothingWanted'), undo: true, ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else {
      done();
      onClose();
    }
  };
  const save = () => (what.trim() ? set({ kind, what, unit: kind === 'number' ? unit : '' }) : setError(t('wanted.needsWhat')));
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <Choice
        label={t('wanted.kind')}
        value={kind}
        options={(['number', 'word', 'photo'] as const).map((value) => ({ value, words: t(`wanted.kind.${value}`) }))}
        onChange={(next) => type({ kind: next })}
      />
      <Field
        label={t('wanted.what')}
        placeholder={t(`wanted.hint.${kind}`)}
        value={what}
        maxLength={80}
        error={error}
        onChangeText={(next) => type({ what: next })}
        onSubmitEditing={save}
      />
      {kind === 'number' ? (
        <View className="max-w-[160px]">
          <Field label={t('wanted.unit')} placeholder="kWh" value={unit} maxLength={12} onChangeText={(next) => type({ unit: next })} onSubmitEditing={save} />
        </View>
      ) : null}
      <ConfirmRow verb={t('due.set')} onConfirm={save} cancel={t('common.cancel')} onCancel={() => (done(), onClose())}>
        {item.wanted ? <Button onPress={() => set(null)}>{t('wanted.nothing')}</Button> : null}
      </ConfirmRow>
    </View>
  );
}
