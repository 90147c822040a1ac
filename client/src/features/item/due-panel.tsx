import { calendarDateOf, daysOffOf, weekdayOf } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useLater } from '@/store/later.ts';
import { lineReader, useReadingContext } from '@/store/reading.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Calendar, Choice, ConfirmRow, Field, Fold, MomentInput, Txt } from '@/ui';
import { t } from '@/words';
import { calendarWords, monthAfter, sayExactly, usualMoments, weeksOf } from '@/words/dates.ts';

/** Chooses a day: a usual one with its exact date, in words, or from the calendar; with an hour or without. */
export function DueChoice({ due, onChange }: { due: string | null; onChange: (due: string | null) => void }) {
  const { house } = useOpenHouse();
  const now = useNow();
  const today = calendarDateOf(now, house.zone);
  const date = due?.slice(0, 10) ?? null;
  const time = due?.slice(11, 16) ?? '';
  const set = (day: string | null, hour: string) => onChange(day ? (hour ? `${day}T${hour}` : day) : null);
  // a date that falls on a day off is seen before it is set
  const holiday = date === null ? undefined : daysOffOf(house).get(date);
  const isOff = date !== null && (holiday !== undefined || weekdayOf(date) > 5);
  const usual = usualMoments(now, house.zone);
  return (
    <View className="gap-3">
      <Choice
        label={t('due.usual')}
        value={usual.find((one) => one.moment === date)?.moment ?? null}
        options={usual.map(({ moment, words }) => ({ value: moment, words }))}
        onChange={(day) => set(day, time)}
      />
      <InWords onMoment={onChange} />
      <View className="-mx-4">
        <Fold words={t('due.calendar')}>
          <View className="px-4 pb-2">
            <Calendar value={date} today={today} words={calendarWords()} weeksOf={weeksOf} monthAfter={monthAfter} onChange={(day) => set(day, time)} />
          </View>
        </Fold>
      </View>
      <View className="max-w-[220px]">
        <MomentInput label={t('due.hour')} kind="time" value={time} onChange={(hour) => set(date ?? today, hour)} />
      </View>
      {due ? (
        <Txt size={15} tone={isOff ? 'waits' : 'muted'}>
          {holiday ? t('due.dayOff', { when: sayExactly(due), name: holiday }) : t('due.exactly', { when: sayExactly(due) })}
        </Txt>
      ) : null}
    </View>
  );
}

/** A day typed as people say it; what is not understood says so and stays. */
function InWords({ onMoment }: { onMoment: (moment: string) => void }) {
  const context = useReadingContext();
  useLater(lineReader);
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const read = () => {
    if (!typed.trim()) return;
    const readLine = lineReader.held();
    if (!readLine) return void lineReader.fetch().then(read, () => setError(t('common.notFetched')));
    const { spans, questions } = readLine(`on ${typed.replace(/^\s*(?:on|by|from)\s+/i, '')}`, context);
    const found = spans.find((span) => span.kind === 'plan');
    if (questions.length > 0 || found?.kind !== 'plan') return setError(t('due.notUnderstood'));
    setError(null);
    onMoment(found.value);
  };
  return (
    <Field
      label={t('due.words')}
      placeholder={t('due.wordsHint')}
      value={typed}
      error={error}
      onChangeText={(next) => {
        setTyped(next);
        setError(null);
      }}
      onBlur={read}
      onSubmitEditing={read}
    />
  );
}

/** The same on the item's sheet, with its own buttons. */
export function DuePanel({
  due,
  onSave,
  onClose,
  verb = t('due.set'),
  none = t('due.none'),
  children,
}: {
  due: string | null;
  onSave: (due: string | null) => void;
  onClose: () => void;
  verb?: string;
  /** Null: it can't be taken away. */
  none?: string | null;
  children?: React.ReactNode;
}) {
  const [chosen, setChosen] = useState(due);
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <DueChoice due={chosen} onChange={setChosen} />
      {children}
      <ConfirmRow verb={verb} onConfirm={() => onSave(chosen)} cancel={t('common.cancel')} onCancel={onClose}>
        {due && none ? <Button onPress={() => onSave(null)}>{none}</Button> : null}
      </ConfirmRow>
    </View>
  );
}
