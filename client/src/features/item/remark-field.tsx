import { isHere, type Item, type Person } from '@kotiva/core';
import { mentionBegun, mentionsIn } from '@kotiva/core/model/mention';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Field, IconButton, Txt } from '@/ui';
import { t, together } from '@/words';
import { canOpenItem } from './everyone.ts';
import { nameOf } from './knot-of.ts';
import { quoted } from './quoted.ts';

/** So many names are offered at once: the next letter tells the rest apart. Of those who can’t see the item, once a letter is typed. */
const OFFERED = 6;
const OFFERED_UNSEEN = 3;
const QUOTED = 60;

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
  const named = mentionsIn(words, people);
  const asked = answering === '' ? 'absent' : rows.get('comment', answering);
  const question = typeof asked === 'string' || asked.removedAt !== null ? null : asked;
  const field = useFocusOnce(answering);
  const say = () => {
    if (!words.trim()) return;
    const answers = question ? { answers: question.id } : {};
    const mentions = named.length > 0 ? { mentions: named.map(({ id }) => id) } : {};
    if (submit('comment.say', { item: item.id, text: words, ...answers, ...mentions })) return;
    done();
    onAnswered();
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
      <Names item={item} words={words} people={people} onChoose={(name) => setWords(`${words.slice(0, words.lastIndexOf('@') + 1)}${name} `)} />
      <Unseen item={item} named={named} />
      <View className="flex-row flex-wrap items-end gap-2">
        <Field
          label={t('item.saySomething')}
          hideLabel
          placeholder={t('item.saySomething')}
          value={words}
          onChangeText={setWords}
          onSubmitEditing={say}
          grows
          maxLength={20_000}
          className="min-w-[8rem] grow shrink basis-0"
        />
        {words.trim() ? (
          <Button kind="main" onPress={say}>
            {t('item.say')}
          </Button>
        ) : (
          children
        )}
      </View>
    </View>
  );
}

/** Whoever chose a remark to answer types next; who opens the sheet with one chosen before is left where they are. */
function useFocusOnce(answering: string) {
  const view = useRef<View>(null);
  const before = useRef(answering);
  useEffect(() => {
    if (answering !== '' && answering !== before.current) (view.current as unknown as HTMLElement | null)?.querySelector('textarea')?.focus();
    before.current = answering;
  }, [answering]);
  return view;
}

/** While a name is being typed after `@`: whose it can be, who can’t see the item marked. */
function Names({ item, words, people, onChoose }: { item: Item; words: string; people: readonly Person[]; onChoose: (name: string) => void }) {
  const { rows } = useOpenHouse();
  const begun = mentionBegun(words)?.toLowerCase();
  if (begun === undefined) return null;
  const fit = people.filter(({ name }) => name.toLowerCase().startsWith(begun) && name.toLowerCase() !== begun).sort((a, b) => a.name.localeCompare(b.name));
  const sees = (person: Person) => canOpenItem(item, person, rows);
  const unseen = begun === '' ? [] : fit.filter((person) => !sees(person) && person.role !== 'outside').slice(0, OFFERED_UNSEEN);
  const offered = [...fit.filter(sees), ...unseen].slice(0, OFFERED);
  if (offered.length === 0) return null;
  return (
    <View role="group" aria-label={t('remark.names')} className="flex-row flex-wrap gap-2">
      {offered.map((person) => (
        <Button key={person.id} onPress={() => onChoose(person.name)}>
          {sees(person) ? person.name : t('remark.cannotSee', { name: person.name })}
        </Button>
      ))}
    </View>
  );
}

/** Said before it is sent: who is addressed and will not be told. */
function Unseen({ item, named }: { item: Item; named: readonly Person[] }) {
  const { rows } = useOpenHouse();
  const unseen = named.filter((person) => !canOpenItem(item, person, rows));
  if (unseen.length === 0) return null;
  return (
    <Txt role="status" size={15} tone="waits">
      {t('remark.unseen', { names: together(unseen.map(({ name }) => name)), count: unseen.length })}
    </Txt>
  );
}
