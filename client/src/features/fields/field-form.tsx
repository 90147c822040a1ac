import {
  COLOURS,
  countLost,
  FIELD_KINDS,
  FIELD_NAME_MAX,
  MOST_OPTIONS,
  UNIT_MAX,
  type Colour,
  type FieldKind,
  type FieldOption,
  type List,
  type OwnField,
  type Reason,
} from '@kotiva/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ConfirmRow, ErrorLine, Field, LabelledChoice, Switch, Txt } from '@/ui';
import { OrderedNames } from '@/ui/ordered-names.tsx';
import { TagDot } from '@/ui/swatches.tsx';
import { t, type WordKey } from '@/words';
import { sayReason } from '@/words/problems.ts';

type TypedOption = Omit<FieldOption, 'id'> & { id?: string };

interface Typed {
  name: string;
  kind: FieldKind;
  unit: string;
  options: TypedOption[];
  isHouses: boolean;
}

interface FieldFormProps {
  list: List;
  /** Null: a new one. */
  field: OwnField | null;
  mayBeHouses: boolean;
  onDone: () => void;
}

/** What a field is called and holds. What would go out of sight by a change is counted before it is made. */
export function FieldForm({ list, field, mayBeHouses, onDone }: FieldFormProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState(() => beginning(field));
  const [typed, setTyped, settled] = useDraft<Typed>(`field/${list.id}/${field?.id ?? 'new'}`, begin);
  const [reason, setReason] = useState<Reason | null>(null);
  const [isRemoving, setRemoving] = useState(false);
  const { name, kind, unit, isHouses } = typed;
  const change = (some: Partial<Typed>) => {
    setTyped({ ...typed, ...some });
    setReason(null);
  };
  const options = typed.options.filter((option) => option.name.trim() !== '');
  const values = field ? rows.by('fieldValue', 'fieldId', field.id) : [];
  const kept = options.flatMap((option) => (option.id === undefined ? [] : [{ ...option, id: option.id }]));
  const lost = field ? countLost(field, { kind, options: kept }, values, rows) : 0;
  const leave = () => {
    settled();
    onDone();
  };
  const save = () => {
    const fields = { name, kind, unit: kind === 'number' ? unit : '', options };
    const refused = field
      ? submit('field.change', { field: field.id, ...fields }, { words: t('said.fieldChanged', { name }), undo: true, ownRefusal: true })
      : submit('field.make', { list: isHouses ? null : list.id, ...fields }, { words: t('said.fieldMade', { name }), undo: true, ownRefusal: true });
    if (refused) setReason(refused);
    else leave();
  };
  const remove = () => {
    if (!submit('field.change', { field: field!.id, removed: true }, { words: t('said.fieldRemoved', { name: field!.name }), undo: true })) leave();
  };
  const says = reason && sayReason(reason);
  const isOfName = reason?.field === 'name';
  return (
    <View className="gap-4 pt-2">
      <LabelledChoice<FieldKind>
        label={t('fields.sort')}
        value={kind}
        options={FIELD_KINDS.map((value) => ({ value, words: t(`fields.kind.${value}`) }))}
        onChange={(next) => change({ kind: next, options: next === 'choice' && typed.options.length === 0 ? [freshOption(0)] : typed.options })}
      />
      <Field
        label={t('fields.name')}
        value={name}
        maxLength={FIELD_NAME_MAX}
        autoFocus={field === null}
        error={isOfName ? says : null}
        onChangeText={(next) => change({ name: next })}
        onSubmitEditing={save}
      />
      {kind === 'number' ? (
        <Field label={t('fields.unit')} value={unit} maxLength={UNIT_MAX} onChangeText={(next) => change({ unit: next })} onSubmitEditing={save} />
      ) : null}
      {kind === 'choice' ? (
        <OrderedNames
          names={typed.options}
          begin={freshOption(typed.options.length)}
          most={MOST_OPTIONS}
          maxLength={FIELD_NAME_MAX}
          onChange={(next) => change({ options: next })}
          words={{
            label: (count) => t('fields.choice', { count }),
            out: (one) => t('fields.choiceOut', { name: one }),
            up: (one) => t('fields.choiceUp', { name: one }),
            add: t('fields.choiceAdd'),
          }}
        >
          {(one, nth) => (
            <ColourOf option={one} onChange={(colour) => change({ options: typed.options.map((other, at) => (at === nth ? { ...other, colour } : other)) })} />
          )}
        </OrderedNames>
      ) : null}
      {field === null && mayBeHouses ? <Switch words={t('fields.house')} on={isHouses} onChange={(on) => change({ isHouses: on })} /> : null}
      {lost > 0 ? <Txt role="status">{t('fields.lost', { count: lost })}</Txt> : null}
      <ErrorLine says={isOfName ? null : says} />
      {isRemoving ? (
        <View className="gap-3">
          {values.some(({ value }) => value !== null) ? (
            <Txt role="status">{t('fields.removes', { count: values.filter(({ value }) => value !== null).length })}</Txt>
          ) : null}
          <ConfirmRow verb={t('fields.removeIt')} onConfirm={remove} cancel={t('common.cancel')} onCancel={() => setRemoving(false)} />
        </View>
      ) : (
        <ConfirmRow verb={t('common.save')} onConfirm={save} cancel={t('common.cancel')} onCancel={leave}>
          {field ? <Button onPress={() => setRemoving(true)}>{t('fields.remove')}</Button> : null}
        </ConfirmRow>
      )}
    </View>
  );
}

const freshOption = (nth: number): TypedOption => ({ name: '', colour: COLOURS[nth % COLOURS.length]! });

const beginning = (field: OwnField | null): Typed =>
  field
    ? { name: field.name, kind: field.kind, unit: field.unit, options: field.options.map((option) => ({ ...option })), isHouses: field.listId === null }
    : { name: '', kind: 'text', unit: '', options: [], isHouses: false };

/** A tap takes the next of the house’s colours. */
function ColourOf({ option: { name, colour }, onChange }: { option: TypedOption; onChange: (colour: Colour) => void }) {
  const next = COLOURS[(COLOURS.indexOf(colour) + 1) % COLOURS.length]!;
  const words = t(`colour.${colour}` as WordKey);
  return (
    <Pressable
      role="button"
      aria-label={t('fields.choiceColour', { name, colour: words })}
      onPress={() => onChange(next)}
      className="min-h-11 flex-row items-center gap-2 self-start rounded-control px-2"
    >
      <TagDot colour={colour} />
      <Txt size={15} tone="muted">
        {words}
      </Txt>
    </Pressable>
  );
}
