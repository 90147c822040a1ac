import { dependsOn, isHere, openWaits, type Item, type Wait } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ConfirmRow, ErrorLine, Field, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { wordsOfWait } from '@/words/waits.ts';
import { ItemPicker } from './item-picker.tsx';
import { useOpenItem } from './open-item.ts';
import { useGiveAll } from './give-all.ts';
import { nameOf } from './knot-of.ts';

/** What an item waits for, each with the day to ask again and the way on. */
export function WaitLines({ item, mayMark }: { item: Item; mayMark: boolean }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const open = useOpenItem();
  const waits = openWaits(rows.by('wait', 'itemId', item.id));
  const firstHeld = (wait: Wait): string | null => {
    const first = rows.find('item', dependsOn(wait) ?? '');
    return first?.id ?? null;
  };
  const whatNext = (wait: Wait) =>
    dependsOn(wait) !== null ? t('wait.byItself') : wait.askOn ? t('wait.askOn', { when: sayMoment(wait.askOn, now, house.zone) }) : t('wait.noDay');
  return (
    <>
      {waits.map((wait) => {
        const words = wordsOfWait(wait, rows);
        const first = firstHeld(wait);
        return (
          <View key={wait.id} className="mt-2 flex-row flex-wrap items-center gap-2 border-l-2 border-cloudberry pl-3">
            <View className="min-w-0 grow shrink basis-0">
              <Txt tone="waits" face="medium">
                {wait.personId ? t('wait.forFrom', { words, name: nameOf(rows, wait.personId) }) : t('wait.for', { words })}
              </Txt>
              <Txt size={15} tone="muted">
                {whatNext(wait)}
              </Txt>
            </View>
            {first === null ? null : (
              <Button kind="quiet" label={t('wait.openIt', { title: words })} onPress={() => open(first)}>
                {t('wait.open')}
              </Button>
            )}
            {mayMark ? (
              <Button onPress={() => submit('wait.end', { wait: wait.id }, { words: t('said.waitEnded', { words }), undo: true })}>
                {t(dependsOn(wait) === null ? 'wait.end' : 'wait.goOn')}
              </Button>
            ) : null}
          </View>
        );
      })}
      <WaitedFor item={item} />
    </>
  );
}

/** What can’t go on before this is done. */
function WaitedFor({ item }: { item: Item }) {
  const { rows } = useOpenHouse();
  const open = useOpenItem();
  const held = openWaits(rows.by('wait', 'onItemId', item.id)).flatMap(({ itemId }) => {
    const one = rows.find('item', itemId);
    return one === undefined || one.removedAt !== null ? [] : [one];
  });
  return held.map((one) => (
    <View key={one.id} className="mt-2 flex-row flex-wrap items-center gap-2 border-l-2 border-line pl-3">
      <Txt size={15} tone="muted" className="min-w-0 grow shrink basis-0">
        {t('wait.waitedFor', { title: one.title })}
      </Txt>
      <Button kind="quiet" label={t('wait.openIt', { title: one.title })} onPress={() => open(one.id)}>
        {t('wait.open')}
      </Button>
    </View>
  ));
}

const NO_WAIT = { of: 'words', words: '', on: '', person: '', askOn: '' };

/** Marks an item, or several as one, as waiting: for what, maybe from whom, and when to ask again. */
export function WaitingPanel({ items, onClose }: { items: readonly string[]; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const giveAll = useGiveAll();
  const [{ of, words, on, person, askOn }, setTyped, marked] = useDraft(`wait/${items[0] ?? ''}`, NO_WAIT);
  const [error, setError] = useState<{ field?: string; words: string } | null>(null);
  const set = (some: Partial<typeof NO_WAIT>) => {
    setTyped((now) => ({ ...now, ...some }));
    setError(null);
  };
  const isItem = of === 'item';
  const own = rows.find('item', items[0] ?? '');
  const people = rows.all('person').filter((one) => isHere(one) && one.id !== me.id);
  const save = () => {
    if (isItem ? !on : !words.trim()) return setError({ words: t(isItem ? 'wait.chooseItem' : 'reason.title-empty') });
    const asMarked = ([item]: string[]) => (isItem ? { item: item!, on } : { item: item!, words, person: person || null, askOn: askOn || null });
    const first = rows.find('item', on);
    const reason = giveAll('wait.set', [...items], asMarked, t('said.waits', { words: isItem && first !== undefined ? `“${first.title}”` : words }), 1);
    if (!reason) {
      marked();
      return onClose();
    }
    setError({ field: reason.field, words: sayReason(reason) });
  };
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <Choice
        label={t('wait.kind')}
        value={of}
        options={[
          { value: 'words', words: t('wait.kind.words') },
          { value: 'item', words: t('wait.kind.item') },
        ]}
        onChange={(next) => set({ of: next })}
      />
      {isItem ? (
        <ItemPicker
          label={t('wait.onItem')}
          chosen={on || null}
          except={items}
          nearList={own?.listId ?? null}
          error={error?.words ?? null}
          onChoose={(next) => set({ on: next ?? '' })}
        />
      ) : (
        <>
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
        </>
      )}
      {!isItem && error?.field === 'askOn' ? <ErrorLine says={error.words} /> : null}
      <ConfirmRow verb={t('wait.mark')} onConfirm={save} cancel={t('common.cancel')} onCancel={() => (marked(), onClose())} />
    </View>
  );
}
