import { isHere, readingsOf, type FieldReading, type Item, type OwnField, type RawValue, type Reason } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ConfirmRow, ErrorLine, Field, LabelledChoice, MomentInput, Switch, Txt } from '@/ui';
import { Address } from '@/ui/linked-text.tsx';
import { t } from '@/words';
import { sayFieldValue } from '@/words/fields.ts';
import { sayReason } from '@/words/problems.ts';

/** What was typed or chosen, by field; a field that isn’t there was not touched. */
type Typed = Record<string, string>;
const NOTHING: Typed = {};
const YES = 'yes';

/** All fields of an item in one form: what was changed in it is one action. */
export function FieldsPanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [typed, setTyped, settled] = useDraft<Typed>(`fields/${item.id}`, NOTHING);
  const [reason, setReason] = useState<Reason | null>(null);
  const readings = readingsOf(item, rows);
  const here = readings.filter(({ isFaint }) => !isFaint);
  // a field that was removed meanwhile: what was typed in it stays, and is there again if the field comes back
  const orphans = Object.entries(typed).filter(([id, text]) => text.trim() !== '' && here.every(({ field }) => field.id !== id));
  const words = orphans.flatMap(([id, text]) => {
    const field = rows.find('ownField', id);
    return field !== undefined && ['text', 'number', 'link'].includes(field.kind) ? [`${field.name}: ${text}`] : [];
  });
  const leave = () => {
    settled();
    onClose();
  };
  const set = (values: { field: string; value: RawValue | null }[]): boolean => {
    const refused = values.length > 0 && submit('item.setFields', { item: item.id, values }, { words: t('said.changed', { title: item.title }), undo: true, ownRefusal: true }); // prettier-ignore
    setReason(refused || null);
    return !refused;
  };
  const save = () => {
    const values = here.flatMap(({ field, value }) => {
      const next = typed[field.id];
      return next === undefined || next === textOf(value) ? [] : [{ field: field.id, value: given(next, field) }];
    });
    if (!set(values)) return;
    if (orphans.length === 0) return leave();
    setTyped(Object.fromEntries(orphans));
    onClose();
  };
  const errorOf = ({ id }: OwnField) => (reason?.field === id ? sayReason(reason) : null);
  return (
    <View className="my-2 gap-4 rounded-sheet bg-ground p-4">
      {here.map((reading) => (
        <FieldInput
          key={reading.field.id}
          reading={reading}
          typed={typed[reading.field.id] ?? textOf(reading.value)}
          error={errorOf(reading.field)}
          onChange={(next) => {
            setTyped((now) => ({ ...now, [reading.field.id]: next }));
            setReason(null);
          }}
          onSubmit={save}
        />
      ))}
      {readings
        .filter(({ isFaint }) => isFaint)
        .map(({ field, value }) => (
          <View key={field.id} className="items-start gap-1">
            <Txt tone="muted">{`${field.name}: ${sayFieldValue(value!, field, rows)}`}</Txt>
            <Txt size={15} tone="muted">
              {t('fields.faint', { name: field.name })}
            </Txt>
            <Button kind="quiet" onPress={() => set([{ field: field.id, value: null }])}>
              {t('fields.faintOut', { name: field.name })}
            </Button>
          </View>
        ))}
      {words.length > 0 ? <Txt role="status">{t('fields.typedGone', { words: words.join(', ') })}</Txt> : null}
      <ErrorLine says={reason && !here.some(({ field }) => field.id === reason.field) ? sayReason(reason) : null} />
      <ConfirmRow verb={t('common.save')} onConfirm={save} cancel={t('common.cancel')} onCancel={leave} />
    </View>
  );
}

const textOf = (value: RawValue | null): string => (value === null ? '' : value === true ? YES : String(value));
const given = (typed: string, { kind }: OwnField): RawValue | null => (typed.trim() === '' ? null : kind === 'tick' ? true : typed);

interface FieldInputProps {
  reading: FieldReading;
  typed: string;
  error: string | null;
  onChange: (typed: string) => void;
  onSubmit: () => void;
}

function FieldInput({ reading: { field, value }, typed, error, onChange, onSubmit }: FieldInputProps) {
  const { rows } = useOpenHouse();
  const { name, kind, unit, options } = field;
  const label = kind === 'number' && unit !== '' ? `${name} (${unit})` : name;
  const choices = kind === 'choice' ? options.map(({ id, name: words }) => ({ value: id, words })) : [];
  const people = kind === 'person' ? rows.all('person').filter(isHere).map(({ id, name: words }) => ({ value: id, words })) : []; // prettier-ignore
  switch (kind) {
    case 'choice':
    case 'person':
      return (
        <View className="gap-1">
          <LabelledChoice label={label} value={typed} options={[...choices, ...people, { value: '', words: t('fields.nothing') }]} onChange={onChange} />
          <ErrorLine says={error} />
        </View>
      );
    case 'tick':
      return <Switch words={label} on={typed === YES} onChange={(on) => onChange(on ? YES : '')} />;
    case 'date':
      return (
        <View className="gap-1">
          <MomentInput label={label} kind="date" value={typed} onChange={onChange} />
          <ErrorLine says={error} />
        </View>
      );
    default:
      return (
        <View className="gap-1">
          <Field
            label={label}
            value={typed}
            error={error}
            maxLength={kind === 'number' ? 24 : 500}
            inputMode={kind === 'number' ? 'decimal' : kind === 'link' ? 'url' : undefined}
            onChangeText={onChange}
            onSubmitEditing={onSubmit}
          />
          {kind === 'link' && value !== null ? <Address url={String(value)} words={t('fields.open', { address: sayFieldValue(value, field, rows) })} /> : null}
        </View>
      );
  }
}
