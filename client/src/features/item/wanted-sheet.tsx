import { partId, type Item, type Part, type Wanted } from '@kotiva/core';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDispatch, useSelector } from 'react-redux';
import { ChooseFiles, useAttach, useFileRoom } from '@/features/attachments';
import { useDraft } from '@/store/drafts.ts';
import { useOpenHouse, type State } from '@/store/store.ts';
import { answerSettled } from '@/store/wanted.ts';
import { Button, ErrorLine, Field, Foot, Heading, Sheet, Txt } from '@/ui';
import { Picture } from '@/ui/picture.tsx';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { useTie } from './use-check.ts';

/** What is about to be checked off asks for something first. */
export function WantedSheet() {
  const { rows } = useOpenHouse();
  const dispatch = useDispatch();
  const asked = useSelector((state: State) => state.wanted);
  // checked off meanwhile, on another device or by somebody else: there is nothing to ask any more
  const held = asked === null ? undefined : rows.find('part', partId(asked.itemId, asked.personId));
  const isOver = held !== undefined && held.standing === 'completed';
  useEffect(() => {
    if (isOver) dispatch(answerSettled());
  }, [isOver, dispatch]);
  if (asked === null || held === undefined || isOver) return null;
  const item = rows.find('item', asked.itemId);
  if (item === undefined || !item.wanted) return null;
  const Ask = item.wanted.kind === 'photo' ? AskingPhoto : Asking;
  return <Ask key={held.id} item={item} part={held} wanted={item.wanted} />;
}

interface AskingProps {
  item: Item;
  part: Part;
  wanted: Wanted;
}

/** A photo answers it: the tick counts at once, and the photo comes after it. */
function AskingPhoto({ item, part, wanted }: AskingProps) {
  const dispatch = useDispatch();
  const tie = useTie();
  const room = useFileRoom();
  const attach = useAttach({ names: { item: item.id } }, room);
  const [photo, setPhoto] = useState<File | null>(null);
  const [problems, setProblems] = useState<string[]>([]);
  const preview = useMemo(() => (photo ? URL.createObjectURL(photo) : null), [photo]);
  const close = () => void dispatch(answerSettled());
  const checkOff = (given: File | null) => {
    const reason = tie(item, part, '');
    if (reason) return setProblems([sayReason(reason)]);
    // beside the tick, so that both are kept together
    const wrong = given ? attach([given], part.personId) : [];
    if (wrong.length > 0) setProblems(wrong);
    else close();
  };
  return (
    <Sheet open onClose={close} title={item.title} closeLabel={t('common.close')} head={<Heading level={2}>{item.title}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt>{wanted.what}</Txt>
        {preview ? (
          <View className="items-center">
            <Picture src={preview} alt={photo!.name} fit="whole" />
          </View>
        ) : null}
        {problems.map((problem) => (
          <ErrorLine key={problem} says={problem} />
        ))}
        <ChooseFiles
          onlyPictures
          onFiles={([first]) => {
            if (first) setPhoto(first);
            setProblems([]);
          }}
        />
        <AnswerFoot disabled={photo === null} onDone={() => checkOff(photo)} onWithout={() => checkOff(null)} />
      </View>
    </Sheet>
  );
}

function Asking({ item, part, wanted }: AskingProps) {
  const dispatch = useDispatch();
  const tie = useTie();
  const [typed, setTyped, sent] = useDraft(`answer/${part.id}`, '');
  const [error, setError] = useState<string | null>(null);
  const close = () => void dispatch(answerSettled());
  const send = (answer: string) => {
    const reason = tie(item, part, answer);
    if (reason) return setError(sayReason(reason));
    sent();
    close();
  };
  const label = wanted.unit ? t('wanted.inUnit', { what: wanted.what, unit: wanted.unit }) : wanted.what;
  return (
    <Sheet open onClose={close} title={item.title} closeLabel={t('common.close')} head={<Heading level={2}>{item.title}</Heading>}>
      <View className="gap-4 pt-2">
        <Field
          label={label}
          value={typed}
          inputMode={wanted.kind === 'number' ? 'decimal' : 'text'}
          maxLength={200}
          autoFocus
          error={error}
          onChangeText={(next) => {
            setTyped(next);
            setError(null);
          }}
          onSubmitEditing={() => typed.trim() && send(typed)}
        />
        <AnswerFoot disabled={!typed.trim()} onDone={() => send(typed)} onWithout={() => send('')} />
      </View>
    </Sheet>
  );
}

/** With an answer, or without one: a thing that is done must not stay open for want of it. */
function AnswerFoot({ disabled, onDone, onWithout }: { disabled: boolean; onDone: () => void; onWithout: () => void }) {
  return (
    <Foot>
      <View className="flex-row flex-wrap gap-2">
        <Button kind="main" disabled={disabled} onPress={onDone}>
          {t('wanted.done')}
        </Button>
        <Button kind="quiet" onPress={onWithout}>
          {t('wanted.without')}
        </Button>
      </View>
    </Foot>
  );
}
