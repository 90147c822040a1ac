import type { Item, Part, Reason } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ConfirmRow, Field, Txt } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { nameOf, personOf } from './knot-of.ts';

type Asking = 'decline' | 'ask' | 'percent' | null;

/** What the one who was handed something can say to it: take it, can't, ask back, how far it is. */
export function AnswerPanel({ item, part }: { item: Item; part: Part }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [asking, setAsking] = useState<Asking>(null);
  const giver = personOf(rows, part.giverId);
  const fresh = part.standing === 'needs-action' || part.standing === 'tentative';
  return (
    <View className="mb-2 gap-2">
      {giver && giver.id !== part.personId ? (
        <Txt size={15} tone="muted">
          {t(part.message ? 'answer.fromSaying' : 'answer.from', {
            name: giver.name,
            when: part.givenAt === null ? '' : sayInstant(part.givenAt, now, house.zone),
            message: part.message,
          })}
        </Txt>
      ) : null}
      {asking === null ? (
        <View className="flex-row flex-wrap gap-2">
          {fresh || part.standing === 'declined' ? (
            <Button kind="main" onPress={() => submit('part.accept', { item: item.id }, { words: t('said.taken', { title: item.title }), undo: true })}>
              {t('answer.take')}
            </Button>
          ) : null}
          {part.standing === 'accepted' || part.standing === 'in-process' ? <Button onPress={() => setAsking('percent')}>{t('answer.howFar')}</Button> : null}
          {part.standing === 'tentative' ? null : <Button onPress={() => setAsking('ask')}>{t('answer.askBack')}</Button>}
          {part.standing === 'declined' ? null : <Button onPress={() => setAsking('decline')}>{t('answer.cant')}</Button>}
        </View>
      ) : null}
      {asking === 'percent' ? <PercentAnswer item={item} part={part} onDone={() => setAsking(null)} /> : null}
      {asking === 'ask' ? (
        <WordsAnswer
          place={`ask-back/${item.id}`}
          label={t('answer.question', { name: nameOf(rows, part.giverId) })}
          verb={t('answer.askBack')}
          needed
          onDone={() => setAsking(null)}
          send={(question) => submit('part.askBack', { item: item.id, question }, { words: t('said.asked', { name: nameOf(rows, part.giverId) }), undo: true })}
        />
      ) : null}
      {asking === 'decline' ? (
        <WordsAnswer
          place={`decline/${item.id}`}
          label={t('answer.reason', { name: nameOf(rows, part.giverId) })}
          verb={t('answer.cant')}
          onDone={() => setAsking(null)}
          send={(reason) => submit('part.decline', { item: item.id, reason }, { words: t('said.declined', { name: nameOf(rows, part.giverId) }), undo: true })}
        />
      ) : null}
    </View>
  );
}

const STEPS = ['0', '20', '40', '60', '80', '100'] as const;

/** How far it is: a step, or any whole number. */
function PercentAnswer({ item, part, onDone }: { item: Item; part: Part; onDone: () => void }) {
  const submit = useSubmit();
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const say = (percent: number) => {
    if (!submit('part.progress', { item: item.id, percent })) onDone();
  };
  const sayTyped = () => {
    const found = /^(\d{1,3}) ?%?$/.exec(typed.trim());
    if (!found || Number(found[1]) > 100) return setError(t('answer.percentNumber'));
    say(Number(found[1]));
  };
  return (
    <View className="gap-3">
      <Choice
        label={t('answer.howFar')}
        value={String(part.percent) as (typeof STEPS)[number]}
        options={STEPS.map((value) => ({ value, words: t('answer.percent', { percent: value }) }))}
        onChange={(value) => say(Number(value))}
      />
      <Field
        label={t('answer.percentOther')}
        value={typed}
        onChangeText={(next) => {
          setTyped(next);
          setError(null);
        }}
        onSubmitEditing={sayTyped}
        error={error}
        inputMode="numeric"
        maxLength={6}
      />
      <ConfirmRow verb={t('answer.percentSay')} onConfirm={sayTyped} disabled={typed.trim() === ''} cancel={t('common.cancel')} onCancel={onDone} />
    </View>
  );
}

/** A line of words and a verb. What was typed stays when it cannot be sent, and is found again when it was left. */
export function WordsAnswer({
  place,
  label,
  verb,
  needed = false,
  send,
  onDone,
}: {
  /** Where its draft is kept. */
  place: string;
  label: string;
  verb: string;
  needed?: boolean;
  /** Returns why it is refused. */
  send: (words: string) => Reason | null;
  onDone: () => void;
}) {
  const [words, setWords, done] = useDraft(place, '');
  const [error, setError] = useState<string | null>(null);
  const finish = () => {
    done();
    onDone();
  };
  const answer = () => {
    if (needed && !words.trim()) return setError(t('answer.wordsNeeded'));
    if (!send(words)) finish();
  };
  return (
    <View className="gap-3">
      <Field label={label} value={words} onChangeText={setWords} error={error} multiline autoFocus maxLength={20_000} />
      <ConfirmRow verb={verb} onConfirm={answer} cancel={t('common.cancel')} onCancel={finish} />
    </View>
  );
}
