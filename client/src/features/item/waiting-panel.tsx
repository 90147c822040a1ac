import { isHere, openWaits, type Item } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ConfirmRow, ErrorLine, Field, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { useGiveAll } from './give-all.ts';
import { nameOf } from './knot-of.ts';

/** What an item waits for, each with the day to ask again and the way on. */
export function WaitLines({ item, mayMark }: { item: Item; mayMark: boolean }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const waits = openWaits(rows.by('wait', 'itemId', item.id));
  return waits.map((wait) => (
    <View key={wait.id} className="mt-2 flex-row flex-wrap items-center gap-2 border-l-2 border-cloudberry pl-3">
      <View className="min-w-0 grow shrink basis-0">
        <Txt tone="waits" face="medium">
          {wait.personId ? t('wait.forFrom', { words: wait.words, name: nameOf(rows, wait.personId) }) : t('wait.for', { words: wait.words })}
        </Txt>
        <Txt size={15} tone="muted">
          {wait.askOn ? t('wait.askOn', { when: sayMoment(wait.askOn, now, house.zone) }) : t('wait.noDay')}
        </Txt>
      </View>
      {mayMark ? (
        <Button onPress={() => submit('wait.end', { wait: wait.id }, { words: t('said.waitEnded', { words: wait.words }), undo: true })}>
          {t('wait.end')}
        </Button>
      ) : null}
    </View>
  ));
}

const NO_WAIT = { words: '', person: '', askOn: '' };

/** Marks an item, or several as one, as waiting: for what, maybe from whom, and when to ask again. */
export function WaitingPanel({ items, onClose }: { items: readonly string[]; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const giveAll = useGiveAll();
  const [{ words, person, askOn }, setTyped, marked] = useDraft(`wait/${items[0] ?? ''}`, NO_WAIT);
  const set = (some: Partial<typeof NO_WAIT>) => setTyped((now) => ({ ...now, ...some }));
  const [error, setError] = useState<{ field?: string; words: string } | null>(null);
  const people = rows.all('person').filter((one) => isHere(one) && one.id !== me.id);
  const save = () => {
    if (!words.trim()) return setError({ words: t('reason.title-empty') });
    const asMarked = ([item]: string[]) => ({ item: item!, words, person: person || null, askOn: askOn || null });
    const reason = giveAll('wait.set', [...items], asMarked, t('said.waits', { words }), 1);
    if (!reason) {
      marked();
      return onClose();
    }
    setError({ field: reason.field, words: sayReason(reason) });
  };
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <Field
        label={t('wait.what')}
        placeholder={t('wait.whatHint')}
        value={words}
        maxLength={200}
        onChangeText={(next) => set({ words: next })}
        onSubmitEditing={save}
        error={error && error.field !== 'askOn' ? error.words : null}
        autoFocus
      />
      <Choice
        label={t('wait.whom')}
        value={person}
        options={[{ value: '', words: t('wait.nobody') }, ...people.map(({ id, name }) => ({ value: id, words: name }))]}
        onChange={(next) => set({ person: next })}
      />
      <View className="max-w-[220px]">
        <MomentInput label={t('wait.day')} kind="date" value={askOn} onChange={(next) => set({ askOn: next })} />
      </View>
      {error?.field === 'askOn' ? <ErrorLine says={error.words} /> : null}
      <ConfirmRow verb={t('wait.mark')} onConfirm={save} cancel={t('common.cancel')} onCancel={() => (marked(), onClose())} />
    </View>
  );
}
