import type { FilterCondition } from '@kotiva/core';
import { HAVINGS, MOST_NAMED } from '@kotiva/core/filtering';
import { useOpenHouse } from '@/store/store.ts';
import { Choice, Field, Toggles, Txt } from '@/ui';
import { t } from '@/words';
import { sayDuration } from '@/words/amounts.ts';
import { FieldEditor } from './field-editor.tsx';
import { SPANS, SpanEditor } from './span-editor.tsx';
import { choicesOf, chosenOf, naming, wordOfKind, type Kind } from './kinds.ts';

export interface EditorProps {
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
    case 'field':
      return <FieldEditor {...props} />;
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
      options={HAVINGS.map((what) => ({ value: what, words: t(`filter.has.${what}`) }))}
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

function DateEditor({ kind, condition, onChange }: EditorProps & { kind: Exclude<keyof typeof SPANS, 'field'> }) {
  return (
    <SpanEditor
      label={wordOfKind(kind)}
      keys={SPANS[kind]}
      span={condition?.of === 'date' ? condition.span : null}
      onChange={(span) => onChange(span && { of: 'date', field: kind, span, not: isNot(condition) })}
    />
  );
}
