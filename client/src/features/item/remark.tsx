import { groupsOf, type Comment, type Item } from '@kotiva/core';
import { mentionsAt } from '@kotiva/core/model/mention';
import { useState } from 'react';
import { View } from 'react-native';
import { RemarkFiles } from '@/features/attachments';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { ConfirmRow, Field, Menu, PersonMark, Txt, type MenuEntry } from '@/ui';
import { t, type WordKey } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { LetIn } from './guests.tsx';
import { nameOf, personOf } from './knot-of.ts';
import { quoted } from './quoted.ts';

/** So much is shown of what a remark answers. */
const QUOTED = 80;

interface RemarkProps {
  item: Item;
  comment: Comment;
  mayAnswer: boolean;
  onAnswer: () => void;
}

/** One remark: whose, when, what it answers, whom it names; its writer can put it right or take it back. */
export function Remark({ item, comment, mayAnswer, onAnswer }: RemarkProps) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  // what was begun and left is there again, as it was typed
  const [text, setText, done, { found }] = useDraft(`correct/${comment.id}`, comment.text);
  const [correcting, setCorrecting] = useState(found);
  const begin = () => {
    // as it reads now, wherever it was put right last
    setText(comment.text);
    setCorrecting(true);
  };
  const close = () => {
    done();
    setCorrecting(false);
  };
  const isOwn = comment.authorId === me.id;
  const isTakenBack = comment.removedAt !== null;
  const entries: MenuEntry[] = [
    ...(mayAnswer && !isTakenBack ? [{ key: 'answer', words: t('remark.answer'), onPress: onAnswer }] : []),
    ...(isOwn && !isTakenBack
      ? [
          { key: 'correct', words: t('remark.correct'), onPress: begin },
          {
            key: 'take-back',
            words: t('remark.takeBack'),
            late: true,
            onPress: () => void submit('comment.takeBack', { comment: comment.id }, { words: t('said.remarkTakenBack'), undo: true }),
          },
        ]
      : []),
  ];
  const author = personOf(rows, comment.authorId);
  return (
    <View className="flex-row items-start gap-3">
      {author ? <PersonMark looks={author} /> : null}
      <View className="min-w-0 grow shrink basis-0">
        <RemarkHead comment={comment} />
        <Answered comment={comment} />
        {correcting ? (
          <Correcting comment={comment} text={text} onChange={setText} onClose={close} />
        ) : (
          <RemarkText comment={comment} isTakenBack={isTakenBack} />
        )}
        <RemarkFiles comment={comment} />
        <LetIn comment={comment} item={item} />
      </View>
      {entries.length > 0 ? <Menu label={t('remark.more', { text: quoted(comment.text, QUOTED) })} entries={entries} /> : null}
    </View>
  );
}

/** "Leila, asked back · 14:02 · corrected". */
function RemarkHead({ comment: { authorId, kind, audience, at, correctedAt, removedAt } }: { comment: Comment }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const isPair = audience === 'pair';
  const how = kind === 'comment' || kind === 'answer' ? (isPair ? t('remark.pair') : null) : t(`said.kind.${kind}${isPair ? '.pair' : ''}` as WordKey);
  return (
    <Txt size={13} tone="muted">
      {[
        [nameOf(rows, authorId), how].filter(Boolean).join(', '),
        sayInstant(at, now, house.zone),
        correctedAt ? t('remark.corrected') : null,
        removedAt ? t('remark.takenBack') : null,
      ]
        .filter(Boolean)
        .join(' · ')}
    </Txt>
  );
}

/** What it answers, as far as one reads that. */
function Answered({ comment: { answersId } }: { comment: Comment }) {
  const { rows } = useOpenHouse();
  if (!answersId) return null;
  const asked = rows.find('comment', answersId);
  const words =
    asked === undefined || asked.removedAt !== null
      ? t('remark.answersGone')
      : t('remark.answers', { name: nameOf(rows, asked.authorId), text: quoted(asked.text, QUOTED) });
  return (
    <Txt size={13} tone="muted" numberOfLines={1} className="border-l-2 border-line pl-2">
      {words}
    </Txt>
  );
}

function RemarkText({ comment: { text, mentions }, isTakenBack }: { comment: Comment; isTakenBack: boolean }) {
  const { rows } = useOpenHouse();
  // a row from before there were any has none
  const people = (mentions ?? []).flatMap((id) => personOf(rows, id) ?? []);
  const places = mentionsAt<{ id: string; name: string }>(text, [...people, ...groupsOf(rows)]);
  const pieces: React.ReactNode[] = [];
  let at = 0;
  for (const { from, to } of places) {
    pieces.push(text.slice(at, from));
    pieces.push(
      <Txt key={from} face="bold">
        {text.slice(from, to)}
      </Txt>,
    );
    at = to;
  }
  return (
    <Txt tone={isTakenBack ? 'muted' : 'ink'} className={isTakenBack ? 'line-through' : ''}>
      {pieces}
      {text.slice(at)}
    </Txt>
  );
}

interface CorrectingProps {
  comment: Comment;
  text: string;
  onChange: (text: string) => void;
  onClose: () => void;
}

function Correcting({ comment, text, onChange, onClose }: CorrectingProps) {
  const submit = useSubmit();
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    const reason = submit('comment.correct', { comment: comment.id, text }, { words: t('said.remarkCorrected'), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) onClose();
  };
  return (
    <View className="gap-2 pt-1">
      <Field label={t('remark.text')} hideLabel value={text} onChangeText={onChange} error={error} onSubmitEditing={save} grows maxLength={20_000} autoFocus />
      <ConfirmRow verb={t('common.save')} onConfirm={save} cancel={t('common.cancel')} onCancel={onClose} />
    </View>
  );
}
