import { groupsOf, isHere, membersOf, type Item, type PeopleGroup, type Person } from '@kotiva/core';
import { MOST_MENTIONS, mentionsIn } from '@kotiva/core/model/mention';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { ChooseForRemark, ChosenFiles, useChosenFiles } from '@/features/attachments';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, IconButton, Txt } from '@/ui';
import { inPage } from '@/ui/in-page.ts';
import { t } from '@/words';
import { AskFirst, canBeLetIn, Names, Unseen } from './addressing.tsx';
import { nameOf } from './knot-of.ts';
import { quoted } from './quoted.ts';

const QUOTED = 60;
const MOST_WORDS = 20_000;

interface RemarkFieldProps {
  item: Item;
  /** The remark that is answered; empty: none. */
  answering: string;
  onAnswered: () => void;
  /** What stands beside it while nothing is typed. */
  children?: React.ReactNode;
}

/** Where something is said about an item: to nobody in particular, in answer to a remark, or to somebody by name. */
export function RemarkField({ item, answering, onAnswered, children }: RemarkFieldProps) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [words, setWords, done] = useDraft(`remark/${item.id}`, '');
  const people = rows.all('person').filter((person) => isHere(person) && person.id !== me.id);
  const groups = groupsOf(rows);
  // a group stands for who is in it
  const named = [
    ...new Set(
      mentionsIn<Person | PeopleGroup>(words, [...people, ...groups]).flatMap((one) =>
        'personIds' in one ? membersOf(one, rows).filter(({ id }) => id !== me.id) : [one],
      ),
    ),
  ];
  const asked = answering === '' ? undefined : rows.find('comment', answering);
  const question = asked === undefined || asked.removedAt !== null ? null : asked;
  const field = useFocusOnce(answering);
  // what two say to each other takes no third
  const isPair = question?.audience === 'pair';
  const unseen = isPair ? [] : canBeLetIn(named, item, rows);
  /** The words somebody was asked about: others are asked about anew. */
  const [askedOf, setAskedOf] = useState('');
  const isAsked = unseen.length > 0 && askedOf === words;
  const chosen = useChosenFiles(item.id);
  const hasSomething = words.trim() !== '' || chosen.files.length > 0;
  const send = ({ letIn, asks }: { letIn?: string[]; asks?: Person }) => {
    const answers = question ? { answers: question.id } : {};
    const to = [...new Set([...named.map(({ id }) => id), ...(asks ? [asks.id] : [])])];
    const mentions = to.length > 0 ? { mentions: to.slice(0, MOST_MENTIONS) } : {};
    // what has no words is called by what comes with it
    const text = words.trim()
      ? words
      : chosen.files
          .map(({ name }) => name)
          .join(', ')
          .slice(0, MOST_WORDS);
    const payload = { item: item.id, text, ...answers, ...mentions, ...(letIn ? { letIn } : {}) };
    if (chosen.sendWith(() => submit('comment.say', payload))) return;
    done();
    onAnswered();
  };
  const say = () => {
    if (!hasSomething) return;
    if (unseen.length > 0) setAskedOf(words);
    else send({});
  };
  return (
    <View ref={field} className="gap-2">
      {question ? (
        <View className="flex-row items-center gap-2">
          <Txt size={15} tone="muted" numberOfLines={1} className="min-w-0 shrink">
            {t('remark.answering', { name: nameOf(rows, question.authorId), text: quoted(question.text, QUOTED) })}
          </Txt>
          <IconButton icon="close" label={t('remark.noAnswer')} onPress={onAnswered} />
        </View>
      ) : null}
      <Names item={item} words={words} people={people} groups={groups} onChoose={(name) => setWords(`${words.slice(0, words.lastIndexOf('@') + 1)}${name} `)} />
      <Unseen item={item} named={named} isPair={isPair} />
      <ChosenFiles chosen={chosen} />
      <View className="flex-row flex-wrap items-end gap-2">
        <Field
          label={t('item.saySomething')}
          hideLabel
          placeholder={t('item.saySomething')}
          value={words}
          onChangeText={setWords}
          onSubmitEditing={say}
          grows
          maxLength={MOST_WORDS}
          className="min-w-[8rem] grow shrink basis-0"
        />
        <ChooseForRemark onFiles={chosen.add} />
        {isAsked ? null : hasSomething ? (
          <Button kind="main" onPress={say}>
            {t('item.say')}
          </Button>
        ) : (
          children
        )}
      </View>
      {isAsked ? <AskFirst item={item} unseen={unseen} onSend={send} /> : null}
    </View>
  );
}

/** Whoever chose a remark to answer types next; who opens the sheet with one chosen before is left where they are. */
function useFocusOnce(answering: string) {
  const view = useRef<View>(null);
  const before = useRef(answering);
  useEffect(() => {
    if (answering !== '' && answering !== before.current) inPage(view)?.querySelector('textarea')?.focus();
    before.current = answering;
  }, [answering]);
  return view;
}
