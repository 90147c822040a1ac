import type { Item, Part } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { nameOf } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, ErrorLine, Field, Toggles, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { ActionSheet } from './action-sheet.tsx';

/** Asks kindly, with a word if wanted; says who was asked today already. */
export function NudgeSheet({ item, parts, askedToday, onClose }: { item: Item; parts: readonly Part[]; askedToday: boolean; onClose: () => void }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [chosen, setChosen] = useState<readonly string[]>(parts.map((part) => part.personId!));
  const [words, setWords, done] = useDraft(`nudge/${item.id}`, '');
  const [error, setError] = useState<string | null>(null);
  const asked = parts.flatMap(({ personId, nudgedAt }) =>
    nudgedAt ? [t('nudge.lastOf', { name: nameOf(rows, personId), when: sayInstant(nudgedAt, now, house.zone) })] : [],
  );
  const send = () => {
    if (chosen.length === 0) return setError(t('hand.chooseSomeone'));
    const names = together(chosen.map((id) => nameOf(rows, id)));
    const reason = submit('part.nudge', { item: item.id, persons: [...chosen], words }, { words: t('said.nudged', { names }), ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  return (
    <ActionSheet title={t('nudge.title', { title: item.title })} onClose={onClose}>
      <View className="gap-4 pt-2">
        {askedToday ? <Txt tone="waits">{t('nudge.askedToday')}</Txt> : null}
        {asked.length > 0 ? (
          <Txt size={15} tone="muted">
            {asked.join(' · ')}
          </Txt>
        ) : null}
        {parts.length > 1 ? (
          <Toggles
            label={t('nudge.whom')}
            on={chosen}
            options={parts.map(({ personId }) => ({ value: personId!, words: nameOf(rows, personId) }))}
            onChange={setChosen}
          />
        ) : null}
        <Field label={t('nudge.words')} placeholder={t('nudge.wordsHint')} value={words} onChangeText={setWords} maxLength={20_000} onSubmitEditing={send} />
        <ErrorLine says={error} />
        <ConfirmRow verb={t(askedToday ? 'nudge.again' : 'nudge.nudge')} onConfirm={send} cancel={t('common.cancel')} onCancel={onClose} />
      </View>
    </ActionSheet>
  );
}
