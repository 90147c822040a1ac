import { fieldsOf, MOST_FIELDS, type List, type OwnField, type Rows } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Foot, Heading, IconButton, Row, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { FieldForm } from './field-form.tsx';

/** The fields the items of a list have: its own, and those of the house. */
export function FieldsSheet({ list, onClose }: { list: List; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const [editing, setEditing] = useState<OwnField | 'new' | null>(null);
  const fields = fieldsOf(list.id, rows);
  const [own, houses] = [fields.filter(({ listId }) => listId !== null), fields.filter(({ listId }) => listId === null)];
  const title = editing === null ? t('fields.title') : editing === 'new' ? t('fields.add') : t('fields.change', { name: editing.name });
  const mayChangeHouses = me.role === 'manager';
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      {editing === null ? (
        <View className="gap-4 pt-2">
          <Txt tone="muted">{t('fields.means', { most: MOST_FIELDS })}</Txt>
          {fields.length === 0 ? <Empty words={t('fields.none')} /> : null}
          <Rows fields={own} onEdit={setEditing} />
          {houses.length > 0 ? (
            <View>
              <Txt role="heading" aria-level={3} face="head">
                {t('fields.house')}
              </Txt>
              <Rows fields={houses} onEdit={mayChangeHouses ? setEditing : null} />
            </View>
          ) : null}
          <Foot>
            <View className="flex-row flex-wrap gap-2">
              {own.length < MOST_FIELDS ? (
                <Button kind="main" onPress={() => setEditing('new')}>
                  {t('fields.add')}
                </Button>
              ) : null}
              <Button onPress={onClose}>{t('common.done')}</Button>
            </View>
          </Foot>
        </View>
      ) : (
        <FieldForm
          key={editing === 'new' ? 'new' : editing.id}
          list={list}
          field={editing === 'new' ? null : editing}
          mayBeHouses={mayChangeHouses}
          onDone={() => setEditing(null)}
        />
      )}
    </Sheet>
  );
}

/** In their order, each with what it holds; `onEdit` null: they are another’s to change. */
function Rows({ fields, onEdit }: { fields: readonly OwnField[]; onEdit: ((field: OwnField) => void) | null }) {
  const submit = useSubmit();
  const raise = (nth: number) => {
    const field = fields[nth]!;
    submit('field.change', { field: field.id, after: fields[nth - 2]?.id ?? null }, { words: t('said.fieldChanged', { name: field.name }), undo: true });
  };
  return (
    <View className="-mx-4">
      {fields.map((field, nth) => (
        <Row
          key={field.id}
          title={field.name}
          sub={sayKind(field)}
          onPress={onEdit ? () => onEdit(field) : undefined}
          tools={onEdit && nth > 0 ? <IconButton icon="up" label={t('fields.up', { name: field.name })} onPress={() => raise(nth)} /> : undefined}
        />
      ))}
    </View>
  );
}

function sayKind({ kind, unit, options }: OwnField): string {
  if (kind === 'number' && unit !== '') return t('fields.kindAndUnit', { unit });
  if (kind === 'choice') return t('fields.kindAndChoices', { choices: options.map(({ name }) => name).join(', ') });
  return t(`fields.kind.${kind}`);
}
