import { calendarDateOf, daysOffOf } from '@kotiva/core';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useLater } from '@/store/later.ts';
import { lineReader, useReadingContext } from '@/store/reading.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Calendar, Choice, ConfirmRow, Field, Fold, MomentInput } from '@/ui';
import { t } from '@/words';
import { calendarWords, monthAfter, sayExactly, usualMoments, weeksOf } from '@/words/dates.ts';

interface DueChoiceProps {
  due: string | null;
  onChange: (due: string | null) => void;
  /** Enter on words that name a day. */
  onEnter?: (due: string) => void;
  /** What is typed as a day, kept by whoever asks. */
  words: string;
  onWords: (words: string) => void;
  /** Why what was typed could not be set. */
  refused?: string | null;
  /** A day was tapped: whatever the words say, that one is meant. */
  onPick?: () => void;
}

/** Chooses a day: a usual one with its exact date, in words, or from the calendar; with an hour or without. */
export function DueChoice({ due, onChange, onEnter, words, onWords, refused, onPick }: DueChoiceProps) {
  const { house } = useOpenHouse();
  const now = useNow();
  const today = calendarDateOf(now, house.zone);
  const date = due?.slice(0, 10) ?? null;
  const time = due?.slice(11, 16) ?? '';
  const set = (day: string | null, hour: string) => onChange(day ? (hour ? `${day}T${hour}` : day) : null);
  const pick = (day: string) => {
    onPick?.();
    set(day, time);
  };
  // a date that falls on a day off is seen before it is set
  const holiday = date === null ? undefined : daysOffOf(house).get(date);
  const says = due === null ? NOTHING_YET : holiday ? t('due.dayOff', { when: sayExactly(due), name: holiday }) : t('due.exactly', { when: sayExactly(due) });
  const usual = usualMoments(now, house.zone);
  return (
    <View className="gap-3">
      <Choice
        label={t('due.usual')}
        value={usual.find((one) => one.moment === date)?.moment ?? null}
        options={usual.map(({ moment, words }) => ({ value: moment, words }))}
        onChange={pick}
      />
      <InWords typed={words} onTyped={onWords} refused={refused} says={says} onMoment={onChange} onEnter={onEnter} />
      <View className="-mx-4">
        <Fold words={t('due.calendar')}>
          <View className="px-4 pb-2">
            <Calendar value={date} today={today} words={calendarWords()} weeksOf={weeksOf} monthAfter={monthAfter} onChange={pick} />
          </View>
        </Fold>
      </View>
      <View className="max-w-[220px]">
        <MomentInput label={t('due.hour')} kind="time" value={time} onChange={(hour) => set(date ?? today, hour)} />
      </View>
    </View>
  );
}

interface InWordsProps extends Pick<DueChoiceProps, 'onEnter' | 'refused'> {
  typed: string;
  onTyped: (typed: string) => void;
  says: string;
  onMoment: (moment: string) => void;
}

/** A day typed as people say it: below it which day is chosen, as it is typed; what is not understood says so and stays. */
function InWords({ typed, onTyped, refused, says, onMoment, onEnter }: InWordsProps) {
  const context = useReadingContext();
  useLater(lineReader);
  const [error, setError] = useState<string | null>(null);
  // begun before, it means what it means today
  const isBegun = useRef(typed !== '');
  useEffect(() => {
    const moment = isBegun.current ? momentIn(typed, context) : null;
    if (moment === null) return;
    isBegun.current = false;
    onMoment(moment);
  });
  /** What was typed, once it is a day; else says what is wrong. */
  const settle = (then: (moment: string) => void) => {
    if (!typed.trim()) return;
    if (!lineReader.held())
      return void lineReader.fetch().then(
        () => settle(then),
        () => setError(t('common.notFetched')),
      );
    const moment = momentIn(typed, context);
    if (moment === null) return setError(t('due.notUnderstood'));
    then(moment);
  };
  return (
    <Field
      label={t('due.words')}
      placeholder={t('due.wordsHint')}
      value={typed}
      error={error ?? refused}
      // its line is kept free: nothing below moves when a day is read, or is not
      hint={says}
      onChangeText={(next) => {
        isBegun.current = false;
        onTyped(next);
        setError(null);
        const moment = momentIn(next, context);
        if (moment !== null) onMoment(moment);
      }}
      onBlur={() => settle(onMoment)}
      onSubmitEditing={() => settle(onEnter ?? onMoment)}
    />
  );
}
const NOTHING_YET = '\u00a0';

/** The moment some words name; null: none, or it can't be read here yet. */
function momentIn(typed: string, context: ReturnType<typeof useReadingContext>): string | null {
  const readLine = lineReader.held();
  if (!readLine || !typed.trim()) return null;
  const { spans, questions } = readLine(`on ${typed.replace(/^\s*(?:on|by|from)\s+/i, '')}`, context);
  const found = spans.find((span) => span.kind === 'plan');
  return questions.length === 0 && found?.kind === 'plan' ? found.value : null;
}

/**
 * A day in words is not thrown away because nobody understands it: before what it belongs to is given, `isRead` says so beside it and
 * answers false, unless a day was tapped since. `field` is what `DueChoice` takes.
 */
export function useDayWords(words: string, onWords: (words: string) => void) {
  const context = useReadingContext();
  const [refused, setRefused] = useState<string | null>(null);
  const [isPicked, setPicked] = useState(false);
  const isRead = (): boolean => {
    if (isPicked || words.trim() === '' || momentIn(words, context) !== null) return true;
    setRefused(t(lineReader.held() ? 'due.notUnderstood' : 'common.notFetched'));
    return false;
  };
  const field = {
    words,
    refused,
    onWords: (next: string) => {
      setRefused(null);
      setPicked(false);
      onWords(next);
    },
    onPick: () => {
      setRefused(null);
      setPicked(true);
    },
  };
  return { isRead, field };
}

/** The same on the item's sheet, with its own buttons. */
export function DuePanel({
  of,
  due,
  onSave,
  onClose,
  verb = t('due.set'),
  none = t('due.none'),
  children,
}: {
  /** What it is the day of: by it what was typed and not saved is found again. */
  of: string;
  due: string | null;
  onSave: (due: string | null) => void;
  onClose: () => void;
  verb?: string;
  /** Null: it can't be taken away. */
  none?: string | null;
  children?: React.ReactNode;
}) {
  const [chosen, setChosen] = useState(due);
  const [words, setWords, done] = useDraft(`day/${of}`, '');
  const save = (day: string | null) => {
    done();
    onSave(day);
  };
  const cancel = () => {
    done();
    onClose();
  };
  const day = useDayWords(words, setWords);
  const confirm = () => {
    if (day.isRead()) save(chosen);
  };
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <DueChoice due={chosen} onChange={setChosen} onEnter={save} {...day.field} />
      {children}
      <ConfirmRow verb={verb} onConfirm={confirm} cancel={t('common.cancel')} onCancel={cancel}>
        {due && none ? <Button onPress={() => save(null)}>{none}</Button> : null}
      </ConfirmRow>
    </View>
  );
}
