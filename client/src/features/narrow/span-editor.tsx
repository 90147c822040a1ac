import { calendarDateOf, type Span } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Choice, Field, MomentInput } from '@/ui';
import { t, type WordKey } from '@/words';

/** What lies ahead makes sense of a deadline, what lies behind of what was done. */
export const SPANS = {
  /** Of a list’s own field, that holds a day. */
  field: ['past', 'today', 'next', 'last', 'week.0', 'week.1', 'between'],
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

interface SpanEditorProps {
  label: string;
  keys: readonly SpanKey[];
  /** Null: none is chosen yet. */
  span: Span | null;
  onChange: (span: Span | null) => void;
}

/** Chooses some days: moving with today, or fixed. */
export function SpanEditor({ label, keys, span, onChange }: SpanEditorProps) {
  const { house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const key = span ? keyOfSpan(span) : null;
  return (
    <View className="gap-3">
      <Choice<SpanKey>
        label={label}
        value={key}
        options={keys.map((value) => ({ value, words: t(`filter.span.${value}` as WordKey) }))}
        onChange={(next) => onChange(next === key ? null : spanOf(next, today))}
      />
      {span && (span.kind === 'next' || span.kind === 'last') && key !== 'today' ? (
        <DaysField key={span.kind} days={span.days} onChange={(days) => onChange({ kind: span.kind, days })} />
      ) : null}
      {span?.kind === 'between' ? (
        <View className="flex-row flex-wrap gap-3">
          <MomentInput label={t('filter.from')} kind="date" value={span.from} onChange={(from) => from && onChange({ ...span, from })} />
          <MomentInput label={t('filter.to')} kind="date" value={span.to} onChange={(to) => to && onChange({ ...span, to })} />
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
