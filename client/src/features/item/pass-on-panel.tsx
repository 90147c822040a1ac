import type { Item } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, ErrorLine, Field } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { givenParts, nameOf } from './knot-of.ts';
import { PeoplePicker } from './people-picker.tsx';
import { useWays } from './ways.tsx';
import { relations } from './use-check.ts';

/** Passes one person's part to another, with a word if wanted. */
export function PassOnPanel({ item, from, onDone }: { item: Item; from: string; onDone: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [to, setTo] = useState<string | null>(null);
  const [message, setMessage, done] = useDraft(`pass-on/${item.id}/${from}`, '');
  const [error, setError] = useState<string | null>(null);
  const without = givenParts(rows, item.id)
    .filter((part) => !part.passedTo)
    .map((part) => part.personId!);
  const ways = useWays([item.listId], to ? [to] : []);
  const finish = () => {
    done();
    onDone();
  };
  const pass = () => {
    if (!to) return setError(t('hand.chooseSomeone'));
    if (ways.isOpen) return setError(t('ways.first'));
    const reason = submit(
      'part.passOn',
      { item: item.id, from, to, message },
      { words: t('said.passed', { name: nameOf(rows, to) }), undo: true, ownRefusal: true },
    );
    if (reason) return setError(sayReason(reason));
    ways.settle();
    finish();
  };
  return (
    <View className="mb-3 gap-3 rounded-sheet bg-ground p-4">
      <PeoplePicker
        label={t('part.passTo')}
        chosen={to ? [to] : []}
        without={[...without, from]}
        onToggle={(id) => {
          setError(null);
          setTo(id === to ? null : id);
        }}
        noteOn={(person) => (relations(item, person, rows).length === 0 ? t('hand.seesOnlyThis') : null)}
      />
      {ways.asks}
      <ErrorLine says={error} />
      <Field label={t('hand.message')} value={message} onChangeText={setMessage} maxLength={20_000} />
      <ConfirmRow verb={t('part.passOn')} onConfirm={pass} cancel={t('common.cancel')} onCancel={finish} />
    </View>
  );
}
