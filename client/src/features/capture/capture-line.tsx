import { groupsOf, isHere, tagKey } from '@kotiva/core';
import { draftOf, piecesOf, settled, spanName, type Draft, type Span } from '@kotiva/core/capture';
import { useGlobalSearchParams } from 'expo-router';
import { memo, useEffect, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { canOpen, everyoneIn, useWays } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Chip, MarkedField, PersonMark, Txt, useKeys, type MarkedFieldHandle, type MarkedPiece, type Token } from '@/ui';
import { t, together } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { Chips, Questions } from './chip-row.tsx';
import { useCapture } from './context.tsx';
import { withContext } from './with-context.ts';
import { UnknownPerson } from '@/features/invite';
import { nameBeingTyped, offered, tagBeingTyped, tagInLine, unknownName, withChosen } from './names.ts';
import { SpeakButton } from './speak-button.tsx';
import { PasteSheet } from './paste-sheet.tsx';
import { lineReader, useReadingContext } from '@/store/reading.ts';
import { useAddOnceRead, useOnceRead } from './once-read.ts';
import { usePlaceholder } from './placeholder.ts';
import { NO_ANSWERS, useReading } from './use-reading.ts';

/** A line with its notes. */
const MOST_TYPED = 20_000;
/** So many lines are read when they are pasted, and so long together. */
const MOST_LINES = 20_000;
const MOST_PASTED = 2_000_000;
const linesOf = (text: string): number => text.split(/\r\n|\r|\n/).length;

const TONES: Record<Span['kind'], Token> = {
  due: 'lake',
  plan: 'lake',
  start: 'lake',
  rule: 'heather',
  effort: 'muted',
  importance: 'muted',
  person: 'pine',
  everyone: 'pine',
  tag: 'heather',
  place: 'cloudberry',
  'place-reminder': 'cloudberry',
  alarm: 'cloudberry',
  list: 'muted',
};

/** One field, always there: words in, chips while typing. Enter adds and keeps the field ready; what stands below the first line are notes. */
export const CaptureLine = memo(function CaptureLine({
  inBar = false,
  startsReady = false,
}: {
  inBar?: boolean;
  /** Somebody asked for it just now. */ startsReady?: boolean;
}) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const { context: around } = useCapture();
  // let go with one tap, for the next lines too, until it is taken up again
  const [letGo, setLetGo] = useState(false);
  const here = letGo && around.plan ? { ...around, plan: undefined, words: undefined } : around;
  const placeholder = usePlaceholder(around);
  const reading = useReadingContext();
  const [typed, setTyped, done] = useDraft('capture', '');
  const [answers, setAnswers] = useState(NO_ANSWERS);
  const [error, setError] = useState<string | null>(null);
  const [pasted, setPasted] = useState<string | null>(null);
  const field = useRef<MarkedFieldHandle>(null);
  // `n` goes to the line from wherever one is
  useKeys((key) => {
    if (key === 'n') field.current?.focus();
    return key === 'n';
  });
  useReadyToType(field, startsReady);
  const read = useReading(typed, reading, answers);
  const people = rows.all('person').filter(isHere);
  const first = typed.split('\n', 1)[0]!;
  const notes = typed.slice(first.length + 1);

  const { list } = withContext(draftOf(read, []), here);
  const draft = withContext(draftOf(read, everyoneIn(list, me, rows)), here);
  const ways = useWays([draft.list], typed.trim() ? (draft.persons ?? []) : []);

  const change = (next: string) => {
    setTyped(next);
    setError(null);
    if (next === '') setAnswers(NO_ANSWERS);
  };
  const namesOf = ({ persons }: Pick<Draft, 'persons'>) => together(people.filter((person) => persons.includes(person.id)).map((person) => person.name));
  const saidOf = ({ persons }: Draft, title: string) =>
    persons.length > 0 ? t('said.addedFor', { title, names: namesOf({ persons }) }) : t('said.added', { title });
  const addDraft = (made: Draft, words: string, below: string) => {
    const title = made.title || words.trim();
    const reason = submit('item.add', { ...made, title, notes: below.trim() || undefined }, { words: saidOf(made, title), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (reason) return;
    ways.settle();
    done();
    setAnswers(NO_ANSWERS);
    field.current?.focus();
  };
  const reads = useOnceRead(read.isRead);
  const add = () => {
    if (!typed.trim()) return;
    if (!reads.isSettled) return reads.wait();
    reads.stop();
    if (read.questions.length > 0) return setError(t('capture.answerFirst'));
    if (ways.isOpen) return setError(t('ways.first'));
    addDraft(draft, first, notes);
  };
  useAddOnceRead(reads, add);
  /** Said and not typed: the list it names is meant; what has to be asked first keeps it in the line. */
  const addSaid = (words: string) => {
    const readLine = lineReader.held();
    if (!readLine) return change(words);
    const heard = readLine(words, reading);
    const taken = new Set(heard.spans.filter(({ kind, chosen }) => kind === 'list' && !chosen).map(spanName));
    const found = settled(words, heard, taken);
    const { list: named } = withContext(draftOf(found, []), here);
    const made = withContext(draftOf(found, everyoneIn(named, me, rows)), here);
    change(words);
    setAnswers({ ...NO_ANSWERS, taken });
    if (found.questions.length > 0) return setError(t('capture.answerFirst'));
    if (named && made.persons.some((id) => !canOpen(named, id, rows))) return setError(t('ways.first'));
    addDraft(made, words, '');
  };
  const saysDay = read.spans.some(({ kind, chosen }) => chosen && (kind === 'due' || kind === 'plan' || kind === 'start' || kind === 'rule'));
  // a chip says it
  const saysItsDay = around.plan !== undefined && !saysDay && !around.person && !around.list;
  const unknown = unknownName(`${first} `, people, groupsOf(rows));
  const changed = read.spans.some((span) => span.chosen);
  const everyone = read.spans.some(({ kind, chosen }) => kind === 'everyone' && chosen);
  const hint =
    error ??
    (everyone ? (draft.persons.length > 0 ? t('capture.everyoneIs', { names: namesOf(draft) }) : t('capture.everyoneIsNobody')) : null) ??
    (changed && read.title ? t('capture.becomes', { title: read.title }) : null) ??
    (typed ? ((saysItsDay ? null : here.words) ?? t('capture.enterAdds')) : null);
  const busy = typed !== '' || error !== null;
  const written = (
    <MarkedField
      ref={field}
      label={t('capture.line')}
      placeholder={placeholder}
      value={typed}
      pieces={piecesFor(typed, first, read.spans)}
      invalid={error !== null}
      onChange={change}
      onEnter={add}
      maxLength={MOST_TYPED}
      onTooLong={() => setError(t('capture.tooLong', { max: MOST_TYPED }))}
      onPasteLines={(text) => {
        if (text.length > MOST_PASTED || linesOf(text) > MOST_LINES) setError(t('capture.tooManyLines', { max: MOST_LINES }));
        else setPasted(typed + text);
        return true;
      }}
    />
  );
  const line = (
    <View className="flex-row items-start gap-1">
      <View className="min-w-0 grow shrink basis-0">{written}</View>
      <SpeakButton typed={typed} onHeard={change} onSaid={addSaid} />
    </View>
  );
  const understood = (
    <>
      <NameOffers typed={typed} onChoose={setTyped} field={field} />
      <Questions
        read={read}
        context={reading}
        answers={answers}
        onAnswer={setAnswers}
        onRewrite={(from, to, words) => change(typed.slice(0, from) + words + typed.slice(to))}
      />
      <Chips read={read} context={reading} answers={answers} onAnswer={setAnswers} />
      {around.plan && !saysDay ? <DayHere day={around.plan} letGo={letGo} onChange={setLetGo} /> : null}
      {unknown ? <UnknownPerson name={unknown} /> : null}
      {ways.asks}
    </>
  );
  const said = hint ? (
    <Txt role={error ? 'alert' : undefined} size={15} tone={error ? 'late' : 'muted'}>
      {hint}
    </Txt>
  ) : null;
  return (
    <View className={inBar ? 'relative w-[330px] min-w-[200px] shrink' : 'border-t border-line bg-surface px-3.5 pb-2 pt-2.5'}>
      {inBar ? (
        <View className="absolute left-0 right-0 top-0 z-30" {...({ dataSet: { over: '' } } as object)}>
          {line}
          {busy ? (
            <View className="gap-2 rounded-sheet border border-line bg-surface p-3 shadow-lg">
              {understood}
              {said}
            </View>
          ) : null}
        </View>
      ) : (
        <View className="gap-2">
          {busy ? understood : null}
          {line}
          {busy ? said : null}
        </View>
      )}
      {inBar ? <View className="h-11" /> : null}
      {pasted !== null ? (
        <PasteSheet
          text={pasted}
          here={here}
          onClose={(done) => {
            setPasted(null);
            if (done) change('');
          }}
        />
      ) : null}
    </View>
  );
});

function piecesFor(typed: string, first: string, spans: readonly Span[]): MarkedPiece[] {
  return [
    ...piecesOf(first, spans).map(({ text, span }) => ({ text, tone: span?.chosen ? TONES[span.kind] : null })),
    { text: typed.slice(first.length), tone: null },
  ];
}

/** People after an @, tags after a #, while they are being typed. */
/** The day the screen is about goes along with the line: it can be let go, and taken up again. */
function DayHere({ day, letGo, onChange }: { day: string; letGo: boolean; onChange: (letGo: boolean) => void }) {
  const { house } = useOpenHouse();
  const now = useNow();
  const words = t('capture.dayHere', { day: sayMoment(day, now, house.zone) });
  return (
    <View className="flex-row">
      {letGo ? (
        <Chip words={words} onTake={() => onChange(false)} />
      ) : (
        <Chip words={words} removeLabel={t('chip.remove', { words })} onRemove={() => onChange(true)} />
      )}
    </View>
  );
}

function NameOffers({ typed, onChoose, field }: { typed: string; onChoose: (typed: string) => void; field: React.RefObject<MarkedFieldHandle | null> }) {
  const { rows } = useOpenHouse();
  const name = nameBeingTyped(typed);
  const tag = tagBeingTyped(typed);
  const take = (words: string) => {
    onChoose(withChosen(typed, words));
    field.current?.focus();
  };
  const people = name === null ? [] : offered(name, rows.all('person'));
  const tags =
    tag === null
      ? []
      : rows
          .all('tag')
          .filter((one) => !one.removedAt && tagKey(one.name).startsWith(tagKey(tag)))
          .slice(0, 6);
  const groups =
    name === null
      ? []
      : groupsOf(rows)
          .filter((one) => one.name.toLowerCase().startsWith(name.toLowerCase()))
          .slice(0, 3);
  if (people.length + groups.length + tags.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-2">
      {people.map((person) => (
        <Pressable
          key={person.id}
          role="button"
          aria-label={t('capture.choose', { name: `${person.mark} ${person.name}` })}
          onPress={() => take(`@${isAlone(person.name, people) ? person.name.split(/\s+/)[0]! : person.name}`)}
          className="min-h-11 flex-row items-center gap-2 rounded-control bg-sunk pl-1.5 pr-3"
        >
          <PersonMark looks={person} size={24} />
          <Txt size={15} face="medium">
            {person.name}
          </Txt>
        </Pressable>
      ))}
      {groups.map((one) => (
        <Pressable key={one.id} role="button" onPress={() => take(`@${one.name}`)} className="min-h-11 justify-center rounded-control bg-sunk px-3">
          <Txt size={15} face="medium">
            {one.name}
          </Txt>
        </Pressable>
      ))}
      {tags.map((one) => (
        <Pressable key={one.id} role="button" onPress={() => take(tagInLine(one.name))} className="min-h-11 justify-center rounded-control bg-sunk px-3">
          <Txt size={15} face="medium">{`#${one.name}`}</Txt>
        </Pressable>
      ))}
    </View>
  );
}

const isAlone = (name: string, people: readonly { name: string }[]): boolean =>
  people.filter((one) => one.name.split(/\s+/)[0] === name.split(/\s+/)[0]).length === 1;

/** Opened from a shortcut of the device: ready to type. */
function useReadyToType(field: React.RefObject<MarkedFieldHandle | null>, startsReady: boolean): void {
  const { add } = useGlobalSearchParams<{ add?: string }>();
  useEffect(() => {
    if (add || startsReady) field.current?.focus();
  }, [add, startsReady, field]);
}
