import { FURTHEST_DAYS } from '@kotiva/core/model/template';
import type { Holder, Offset, Template, TemplateItem } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { PeoplePicker } from '@/features/item';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, Foot, Heading, Labelled, Row, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { FirstsField } from './firsts-field.tsx';
import { AddTo } from './add-to.tsx';
import { OffsetFields, offsetFrom, typedOf, type TypedOffset } from './offset-fields.tsx';
import { sayTemplateItem } from './say-template.ts';

interface TemplateItemSheetProps {
  item: TemplateItem;
  template: Template;
  mayChange: boolean;
  onOpen: (id: string) => void;
  onClose: () => void;
}

interface Typed {
  title: string;
  notes: string;
  minutes: string;
  holders: Holder[];
  due: TypedOffset;
  firsts: string[];
}

const typedFrom = ({ title, notes, effort, holders, due, firstIds }: TemplateItem): Typed => ({
  title,
  notes,
  minutes: effort === null ? '' : String(effort),
  holders,
  due: typedOf(due),
  // a row from before that could be said names none
  firsts: firstIds ?? [],
});

/** One item of a template: what it says, when it is due by the template's day, whose it is, its steps. */
export function TemplateItemSheet({ item, template, mayChange, onOpen, onClose }: TemplateItemSheetProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState(() => typedFrom(item));
  const [typed, setTyped, done] = useDraft(`template-item/${item.id}`, begin);
  const [error, setError] = useState<{ field: 'title' | 'minutes' | 'due' | 'firsts' | 'other'; says: string } | null>(null);
  const change = (some: Partial<Typed>) => {
    setTyped({ ...typed, ...some });
    setError(null);
  };
  const says = (field: string) => (error?.field === field ? error.says : null);
  const save = () => {
    const effort = minutesFrom(typed.minutes);
    if (effort === undefined) return setError({ field: 'minutes', says: t('template.minutesWrong') });
    const due = offsetFrom(typed.due);
    if (due === undefined) return setError({ field: 'due', says: t('template.daysWrong', { max: FURTHEST_DAYS }) });
    const payload = { item: item.id, title: typed.title, notes: typed.notes, effort, holders: typed.holders, due, firsts: typed.firsts ?? [] };
    const reason = submit('templateItem.change', payload, { words: t('said.templateChanged'), undo: true, ownRefusal: true });
    if (reason) return setError({ field: reason.field === 'title' || reason.field === 'firsts' ? reason.field : 'other', says: sayReason(reason) });
    done();
    onClose();
  };
  const remove = () => {
    if (submit('templateItem.change', { item: item.id, removed: true }, { words: t('said.removed', { title: item.title }), undo: true })) return;
    done();
    onClose();
  };
  const steps = rows.by('templateItem', 'templateId', template.id).filter(({ parentId, removedAt }) => parentId === item.id && removedAt === null);
  const title = mayChange ? t('template.item') : item.title;
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        {mayChange ? (
          <>
            <Field
              label={t('template.itemTitle')}
              hint={t('template.blankHint')}
              value={typed.title}
              onChangeText={(next) => change({ title: next })}
              error={says('title')}
              maxLength={500}
            />
            <OffsetFields anchorName={template.anchorName} typed={typed.due} onChange={(due) => change({ due })} error={says('due')} />
            <Holders holders={typed.holders} onChange={(holders) => change({ holders })} />
            <Field
              label={t('template.minutes')}
              inputMode="numeric"
              value={typed.minutes}
              onChangeText={(minutes) => change({ minutes })}
              error={says('minutes')}
              maxLength={6}
            />
            <Field label={t('template.notes')} multiline value={typed.notes} onChangeText={(notes) => change({ notes })} maxLength={20_000} />
          </>
        ) : (
          <>
            <Txt>{sayTemplateItem(item, template, rows)}</Txt>
            {item.notes ? <Txt className="whitespace-pre-wrap">{item.notes}</Txt> : null}
          </>
        )}
        {mayChange ? <FirstsField item={item} firsts={typed.firsts ?? []} error={says('firsts')} onChange={(firsts) => change({ firsts })} /> : null}
        {steps.length > 0 || mayChange ? <Heading level={3}>{t('template.steps')}</Heading> : null}
        <View className="-mx-5">
          {steps.map((step) => (
            <Row key={step.id} title={step.title} sub={sayTemplateItem(step, template, rows) || undefined} onPress={() => onOpen(step.id)} />
          ))}
        </View>
        {mayChange ? <AddTo template={template} parent={item.id} label={t('item.addStep')} /> : null}
        <ErrorLine says={says('other')} />
        {mayChange ? (
          <Foot>
            <View className="flex-row flex-wrap gap-2">
              <Button kind="main" onPress={save}>
                {t('common.save')}
              </Button>
              <Button kind="quiet" tone="late" onPress={remove}>
                {t('template.itemOut')}
              </Button>
            </View>
          </Foot>
        ) : null}
      </View>
    </Sheet>
  );
}

/** Whole minutes; null: none; undefined: it is no number. */
function minutesFrom(typed: string): number | null | undefined {
  if (!typed.trim()) return null;
  return /^\d{1,5}$/.test(typed.trim()) && Number(typed) > 0 && Number(typed) <= 60_000 ? Number(typed) : undefined;
}

/** People by name, and words for whoever is asked for when it is used. */
function Holders({ holders, onChange }: { holders: readonly Holder[]; onChange: (holders: Holder[]) => void }) {
  const [role, setRole] = useState('');
  const persons = holders.flatMap((holder) => ('person' in holder ? [holder.person] : []));
  const roles = holders.flatMap((holder) => ('role' in holder ? [holder.role] : []));
  const toggle = (person: string) =>
    onChange(persons.includes(person) ? holders.filter((one) => !('person' in one) || one.person !== person) : [...holders, { person }]);
  const addRole = () => {
    const word = role.trim();
    if (word && !roles.some((one) => one.toLowerCase() === word.toLowerCase())) onChange([...holders, { role: word }]);
    setRole('');
  };
  return (
    <Labelled words={t('template.who')}>
      <View className="gap-3">
        <PeoplePicker label={t('template.who')} chosen={persons} onToggle={toggle} />
        {roles.length > 0 ? (
          <View className="flex-row flex-wrap gap-2">
            {roles.map((word) => (
              <Button key={word} icon="close" onPress={() => onChange(holders.filter((one) => !('role' in one) || one.role !== word))}>
                {word}
              </Button>
            ))}
          </View>
        ) : null}
        <View className="flex-row flex-wrap items-end gap-2">
          <Field
            label={t('template.role')}
            hint={t('template.roleHint')}
            value={role}
            onChangeText={setRole}
            onSubmitEditing={addRole}
            onBlur={addRole}
            maxLength={40}
            className="min-w-[10rem] grow shrink basis-0"
          />
        </View>
      </View>
    </Labelled>
  );
}

export type { Offset };
