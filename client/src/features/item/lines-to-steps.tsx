import type { Item } from '@kotiva/core';
import { noteLines, type NoteLine } from '@kotiva/core/model/notes-lines';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { ConfirmRow, ErrorLine, Labelled, Switch } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

/** So many lines become steps at once. */
const MOST = 500;

/** A heading is not done; what belongs to the line above goes with it. */
const isUsual = ({ kind }: NoteLine): boolean => kind !== 'heading';

/** Which lines of the notes become steps; all that can be done, until somebody says otherwise. */
export function LinesToSteps({ item, onClose }: { item: Item; onClose: () => void }) {
  const submit = useSubmit();
  const lines = noteLines(item.notes).slice(0, MOST);
  const [changed, setChanged] = useState<ReadonlySet<number>>(new Set());
  const [error, setError] = useState<string | null>(null);
  const isOn = (line: NoteLine) => isUsual(line) !== changed.has(line.at);
  const chosen = lines.filter(isOn);
  const steps = chosen.filter(({ kind }) => kind !== 'more').length;
  const flip = ({ at }: NoteLine) => {
    const next = new Set(changed);
    if (!next.delete(at)) next.add(at);
    setChanged(next);
    setError(null);
  };
  const make = () => {
    const payload = { item: item.id, lines: chosen.map(({ at }) => at) };
    const reason = chosen.length === 0 ? ({ code: 'nothing-chosen', params: {} } as const) : submit('item.notesToSteps', payload, { words: t('said.madeSteps', { count: steps }), undo: true, ownRefusal: true }); // prettier-ignore
    if (reason) setError(sayReason(reason));
    else onClose();
  };
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <Labelled words={t('notes.toStepsTitle')}>
        {lines.map((line) => (
          <View key={line.at} style={{ paddingLeft: Math.min(line.indent, 12) * 5 }}>
            <Switch words={line.words} on={isOn(line)} onChange={() => flip(line)} />
          </View>
        ))}
      </Labelled>
      <ErrorLine says={error} />
      <ConfirmRow verb={t('notes.makeSteps', { count: steps })} onConfirm={make} cancel={t('common.cancel')} onCancel={onClose} />
    </View>
  );
}
