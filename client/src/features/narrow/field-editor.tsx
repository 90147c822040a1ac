import { isHere, readField, type FieldAsk, type FilterCondition, type Reader, type OwnField } from '@kotiva/core';
import { MOST_NAMED } from '@kotiva/core/filtering';
import { useState } from 'react';
import { View } from 'react-native';
import { fieldsAmong } from '@/features/fields';
import { useOpenHouse } from '@/store/store.ts';
import { Choice, Field, Toggles } from '@/ui';
import { t } from '@/words';
import { SpanEditor, SPANS } from './span-editor.tsx';

interface FieldEditorProps {
  condition: FilterCondition | null;
  onChange: (condition: FilterCondition | null) => void;
}

/** Chooses a field, and what it has to say: at first only that it says something. */
export function FieldEditor({ condition, onChange }: FieldEditorProps) {
  const { rows } = useOpenHouse();
  const own = condition?.of === 'field' ? condition : null;
  const lists = rows.all('list').filter(({ removedAt, filedAt }) => removedAt === null && filedAt === null);
  const offered = fieldsAmong(
    lists.map(({ id }) => id),
    rows,
  );
  const field = offered.find((one) => one.field.id === own?.field)?.field;
  const choose = (id: string) => onChange(id === own?.field ? null : { of: 'field', field: id, asks: { kind: 'any' }, not: own?.not ?? false });
  return (
    <View className="gap-3">
      <Choice
        label={t('filter.field.which')}
        value={own?.field ?? null}
        options={offered.map(({ field: { id }, words }) => ({ value: id, words }))}
        onChange={choose}
      />
      {own && field ? <Asks key={field.id} field={field} asks={own.asks} onChange={(asks) => onChange({ ...own, asks: asks ?? { kind: 'any' } })} /> : null}
    </View>
  );
}

interface AsksProps {
  field: OwnField;
  asks: FieldAsk;
  /** Null: nothing but that something is said. */
  onChange: (asks: FieldAsk | null) => void;
}

function Asks({ field, asks, onChange }: AsksProps) {
  const { rows } = useOpenHouse();
  switch (field.kind) {
    case 'tick':
      return null;
    case 'number':
      return <Range field={field} asks={asks} onChange={onChange} />;
    case 'date':
      return <SpanEditor label={field.name} keys={SPANS.field} span={asks.kind === 'span' ? asks.span : null} onChange={(span) => onChange(span && { kind: 'span', span })} />; // prettier-ignore
    case 'choice':
    case 'person':
      return (
        <Toggles
          label={field.name}
          on={asks.kind === 'among' ? asks.ids : []}
          options={answersOf(field, rows)}
          onChange={(ids) => onChange(ids.length === 0 ? null : { kind: 'among', ids: ids.slice(-MOST_NAMED) })}
        />
      );
    default:
      return (
        <Field
          label={t('filter.kind.words')}
          value={asks.kind === 'words' ? asks.words : ''}
          maxLength={200}
          onChangeText={(words) => onChange(words.trim() === '' ? null : { kind: 'words', words })}
        />
      );
  }
}

const answersOf = ({ kind, options }: OwnField, rows: Reader) =>
  (kind === 'choice' ? options : rows.all('person').filter(isHere)).map(({ id, name }) => ({ value: id, words: name }));

/** From and to; what is no number yet stays in its field, and asks for nothing. */
function Range({ field, asks, onChange }: AsksProps) {
  const [typed, setTyped] = useState(() => ({ least: textOf(asks, 'least'), most: textOf(asks, 'most') }));
  const read = (text: string): number | null => readField(text, field) as number | null;
  const type = (end: 'least' | 'most', text: string) => {
    const next = { ...typed, [end]: text };
    setTyped(next);
    const [least, most] = [read(next.least), read(next.most)];
    onChange(least === null && most === null ? null : { kind: 'number', least, most });
  };
  return (
    <View className="flex-row flex-wrap gap-3">
      {(['least', 'most'] as const).map((end) => (
        <Field
          key={end}
          className="grow shrink basis-32"
          label={t(end === 'least' ? 'filter.field.atLeast' : 'filter.field.atMost')}
          value={typed[end]}
          inputMode="decimal"
          maxLength={24}
          error={typed[end].trim() === '' || read(typed[end]) !== null ? null : t('filter.field.notNumber')}
          onChangeText={(text) => type(end, text)}
        />
      ))}
    </View>
  );
}

const textOf = (asks: FieldAsk, end: 'least' | 'most'): string => (asks.kind === 'number' ? String(asks[end] ?? '') : '');
