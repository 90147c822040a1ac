import type { FilterCondition, Span } from '@kotiva/core';
import { MOST_NAMED } from '@kotiva/core/filtering';
import { View } from 'react-native';
import { useState } from 'react';
import { calendarDateOf } from '@kotiva/core';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Choice, Field, MomentInput, Toggles, Txt } from '@/ui';
import { t, type WordKey } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { choicesOf, chosenOf, naming, wordOfKind, type Kind } from './kinds.ts';

interface EditorProps {
  kind: Kind;
  /** Null: nothing is chosen yet. */
  condition: FilterCondition | null;
  onChange: (condition: FilterCondition | null) => void;
}

/** Chooses one condition of a kind. */
export function Editor(props: EditorProps) {
  switch (props.kind) {
    case 'due':
    case 'plan':
    case 'done':
    case 'made':
    case 'touched':
      return <DateEditor {...props} kind={props.kind} />;
    case 'importance':
      return <ImportanceEditor {...props} />;
    case 'effort':
      return <EffortEditor {...props} />;
    case 'has':
      return <HasEditor {...props} />;
    case 'words':
      return <WordsEditor {...props} />;
    default:
      return <NamesEditor {...props} />;
  }
}

const isNot = (condition: FilterCondition | null): boolean => condition?.not ?? false;

function NamesEditor({ kind, condition, onChange }: EditorProps) {
  const { rows } = useOpenHouse();
  const options = choicesOf(kind, rows);
  if (options.length === 0) return <Txt tone="muted">{t('filter.noneOfKind')}</Txt>;
  return (
    <Toggles
      label={wordOfKind(kind)}
      on={condition ? chosenOf(condition) : []}
      options={options}
      onChange={(on) => onChange(naming(kind, on.slice(-MOST_NAMED), isNot(condition)))}
    />
  );
}

function ImportanceEditor({ condition, onChange }: EditorProps) {
  const least = condition?.of === 'importance' ? condition.least : null;
  return (
    <Choice
      label={wordOfKind('importance')}
      value={least === null ? null : String(least)}
      options={([1, 2, 3] as const).map((value) => ({ value: String(value), words: t(`importance.${value}`) }))}
      onChange={(value) => onChange(Number(value) === least ? null : { of: 'importance', least: Number(value), not: isNot(condition) })}
    />
  );
}

const MINUTES = [5, 15, 30, 60, 120];

function EffortEditor({ condition, onChange }: EditorProps) {
  const value = condition?.of === 'effort' ? String(condition.most) : null;
  return (
    <Choice
      label={wordOfKind('effort')}
      value={value}
      options={[...MINUTES.map((most) => ({ value: String(most), words: sayDuration(most) })), { value: 'null', words: t('filter.effortUnknown') }]}
      onChange={(next) => onChange(next === value ? null : { of: 'effort', most: next === 'null' ? null : Number(next), not: isNot(condition) })}
    />
  );
}

function HasEditor({ condition, onChange }: EditorProps) {
  const value = condition?.of === 'has' ? condition.what : null;
  return (
    <Choice
      label={wordOfKind('has')}
      value={value}
      options={(['steps', 'notes', 'comments', 'reminder', 'repeat', 'waits'] as const).map((what) => ({ value: what, words: t(`filter.has.${what}`) }))}
      onChange={(what) => onChange(what === value ? null : { of: 'has', what, not: isNot(condition) })}
    />
  );
}

function WordsEditor({ condition, onChange }: EditorProps) {
  return (
    <Field
      label={wordOfKind('words')}
      value={condition?.of === 'words' ? condition.words : ''}
      maxLength={200}
      onChangeText={(words) => onChange(words.trim() === '' ? null : { of: 'words', words, not: isNot(condition) })}
    />
  );
}

/** What lies ahead makes sense of a deadline, what lies behind of what was done. */
const SPANS = {
  due: ['past', 'today', 'next', 'week.0', 'week.1', 'between', 'none', 'any'],
  plan: ['past', 'today', 'next', 'week.0', 'week.1', 'between', 'none', 'any'],
  done: ['today', 'last', 'week.0', 'week.-1', 'between'],
  made: ['today', 'last', 'week.0', 'week.-1', 'between'],
  touched: ['today', 'last', 'week.0', 'week.-1', 'between'],
} as const;
type SpanKey = (typeof SPANS)[keyof typeof SPANS][number];
const USUAL_DAYS = 14;
const MOST_DAYS = 3_660;

function keyOfSpan(span: Span): SpanKey | null {
  if (span.kind === 'week') return span.weeks === 0 ? 'week.0' : span.weeks === 1 ? 'week.1' : span.weeks === -1 ? 'week.-1' : null;
  if ((span.kind === 'next' || span.kind === 'last') && span.days === 0) return 'today';
  return span.kind;
}

function spanOf(key: SpanKey, today: string): Span {
  switch (key) {
    case 'today':
      return { kind: 'next', days: 0 };
    case 'next':
    case 'last':
      return { kind: key, days: USUAL_DAYS };
    case 'week.0':
    case 'week.1':
    case 'week.-1':
      return { kind: 'week', weeks: Number(key.slice(5)) };
    case 'between':
      return { kind: 'between', from: today, to: today };
    default:
      return { kind: key };
  }
}

function DateEditor({ kind, condition, onChange }: EditorProps & { kind: keyof typeof SPANS }) {
  const { house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const span = condition?.of === 'date' ? condition.span : null;
  const key = span ? keyOfSpan(span) : null;
  const set = (next: Span) => onChange({ of: 'date', field: kind, span: next, not: isNot(condition) });
  return (
    <View className="gap-3">
      <Choice<SpanKey>
        label={wordOfKind(kind)}
        value={key}
        options={SPANS[kind].map((value) => ({ value, words: t(`filter.span.${value}` as WordKey) }))}
        onChange={(next) => (next === key ? onChange(null) : set(spanOf(next, today)))}
      />
      {span && (span.kind === 'next' || span.kind === 'last') && key !== 'today' ? (
        <DaysField key={span.kind} days={span.days} onChange={(days) => set({ kind: span.kind, days })} />
      ) : null}
      {span?.kind === 'between' ? (
        <View className="flex-row flex-wrap gap-3">
          <MomentInput label={t('filter.from')} kind="date" value={span.from} onChange={(from) => from && set({ ...span, from })} />
          <MomentInput label={t('filter.to')} kind="date" value={span.to} onChange={(to) => to && set({ ...span, to })} />
        </View>
      ) : null}
    </View>
  );
}

/** A number that is typed: what is none yet stays in the field, and the last one that was stands. */
function DaysField({ days, onChange }: { days: number; onChange: (days: number) => void }) {
  const [typed, setTyped] = useState(String(days));
  const isGood = /^\d{1,4}$/.test(typed.trim()) && Number(typed) >= 1 && Number(typed) <= MOST_DAYS;
  return (
    <View className="w-40">
      <Field
        label={t('filter.days')}
        value={typed}
        inputMode="numeric"
        maxLength={4}
        error={isGood || typed === '' ? null : t('filter.daysWrong', { most: MOST_DAYS })}
        onChangeText={(next) => {
          setTyped(next);
          const number = Number(next);
          if (/^\d{1,4}$/.test(next.trim()) && number >= 1 && number <= MOST_DAYS) onChange(number);
        }}
      />
    </View>
  );
}
