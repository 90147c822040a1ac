import type { Item, Part, Reason } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, ConfirmRow, Field, Txt, RangeSlider } from '@/ui';
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

/** What is typed as a percentage; null: it is no whole number. */
function percentIn(typed: string): number | null {
  const found = /^(\d{1,9}) ?%?$/.exec(typed.trim());
  return found ? Number(found[1]) : null;
}

/** How far it is, by thumb or as a number: what one shows the other says. All of it checks it off. */
function PercentAnswer({ item, part, onDone }: { item: Item; part: Part; onDone: () => void }) {
  const submit = useSubmit();
  const [typed, setTyped] = useState(String(part.percent));
  const [error, setError] = useState<string | null>(null);
  const change = (next: string) => {
    setTyped(next);
    setError(null);
  };
  const percent = percentIn(typed);
  const at = percent === null ? part.percent : Math.min(percent, 100);
  const say = (how: number) => {
    if (!submit('part.progress', { item: item.id, percent: how }, { words: t('said.percent', { percent: how }), undo: true })) onDone();
  };
  const sayTyped = () => {
    if (percent === null) return setError(t('answer.percentNumber'));
    if (percent > 100) return setError(t('answer.percentMore', { percent }));
    say(percent);
  };
  return (
    <View className="gap-3">
      <RangeSlider
        label={t('answer.howFar')}
        most={100}
        at={at}
        words={t('answer.percent', { percent: at })}
        onChange={(next) => change(String(next))}
        onRelease={say}
      />
      <Field label={t('answer.percentTyped')} value={typed} onChangeText={change} onSubmitEditing={sayTyped} error={error} inputMode="numeric" maxLength={40} />
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
