import { calendarDateOf, DAY_PARTS, eachCounts, isHere, type Item, type Reader, type Missed, type PartOfDay, type Series, type TurnKind } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { GroupChips, groupChoices } from '@/features/groups';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Fold, Foot, LabelledChoice, LabelledToggles, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { previewOf, RulePreview } from './ahead.tsx';
import { RuleEnd, RuleFields } from './rule-fields.tsx';
import { faultOf, formOf, newForm, ruleOf, type RuleForm } from './rule-form.ts';

interface Ways {
  offDay: Series['offDay'];
  /** Null: it has to be said, since the title says that each one counts. */
  missed: Missed | null;
  whenDone: boolean;
  turn: TurnKind;
  dayPart: PartOfDay | null;
  persons: string[];
}

/** What a rule is of: an item that is to come back, or an occurrence of a chore, be it an item yet or not. */
export type RuleOf = { item: Item; series: null } | { item: Item | null; series: Series; recurrenceId: string };

/** How it comes back, whose it is, and what happens when it is missed; with the days it comes to, before it is saved. */
export function RuleEditor({ of, onClose }: { of: RuleOf; onClose: () => void }) {
  const { house, rows } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [begin] = useState(() => ({ form: startOf(of, calendarDateOf(now, house.zone)), ways: waysOf(of, rows) }));
  const [{ form, ways }, change, done] = useDraft(`rule/${of.item?.id ?? `${of.series?.id} ${of.series ? of.recurrenceId : ''}`}`, begin);
  const setForm = (next: RuleForm) => change((now) => ({ ...now, form: next }));
  const setWays = (next: Ways) => change((now) => ({ ...now, ways: next }));
  const asksMissed = begin.ways.missed === null;
  const [error, setError] = useState<string | null>(null);
  const fault = faultOf(form) ?? (ways.missed === null && form.kind !== 'after' ? 'rule.saysMissed' : null);
  const said = fault ? null : ruleOf(form);
  const title = of.series?.title ?? of.item?.title ?? '';
  const changing = of.series ? { series: of.series, from: splitFrom(of.recurrenceId, form) } : null;
  const preview = said ? previewOf({ ...said, ...seriesFields(ways) }, changing, rows, house) : null;
  const save = () => {
    if (!said || !preview || 'says' in preview) return;
    const fields = { ...said, ...ways, missed: ways.missed ?? undefined };
    const reason = changing
      ? submit('chore.change', { series: changing.series.id, from: changing.from, ...fields }, { words: t('said.choreChanged', { title }), undo: true, ownRefusal: true }) // prettier-ignore
      : submit('chore.make', { item: of.item!.id, ...fields }, { words: t('said.choreMade', { title }), undo: true, ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  const cancel = () => {
    done();
    onClose();
  };
  return (
    <>
      <RuleFields form={form} onChange={setForm} />
      {form.time === '' && form.kind !== 'hours' ? (
        <LabelledChoice
          label={t('sentence.panel.dayPart')}
          value={ways.dayPart ?? 'any'}
          options={DAY_PARTS.map((value) => ({ value, words: t(`dayPart.${value}`) }))}
          onChange={(value) => setWays({ ...ways, dayPart: value === 'any' ? null : value })}
        />
      ) : null}
      <Whose ways={ways} onChange={setWays} />
      {asksMissed && form.kind !== 'after' ? <WhenMissed ways={ways} onChange={setWays} /> : null}
      <View className="-mx-4">
        <Fold words={t('rule.more')}>
          <View className="gap-4 px-4 pb-2">
            {form.kind === 'after' || form.kind === 'typed' ? null : <RuleEnd form={form} onChange={setForm} />}
            {form.kind === 'after' ? null : <Rarer ways={ways} onChange={setWays} />}
            {asksMissed || form.kind === 'after' ? null : <WhenMissed ways={ways} onChange={setWays} />}
          </View>
        </Fold>
      </View>
      {fault ? (
        <Txt role="alert" tone="late">
          {t(fault)}
        </Txt>
      ) : null}
      {said && preview ? <RulePreview said={said} offDay={ways.offDay} preview={preview} /> : null}
      {error ? (
        <Txt role="alert" tone="late">
          {error}
        </Txt>
      ) : null}
      <Foot>
        <View className="flex-row flex-wrap gap-2">
          <Button kind="main" onPress={save} disabled={!preview || 'says' in preview}>
            {t(changing === null ? 'rule.save' : changing.from === form.date ? 'rule.saveFrom' : 'rule.saveFollowing', {
              date: dayMonth(form.date || '2026-01-01'),
            })}
          </Button>
          <Button kind="quiet" onPress={cancel}>
            {t('common.cancel')}
          </Button>
        </View>
      </Foot>
    </>
  );
}

function startOf(of: RuleOf, today: string): RuleForm {
  if (of.series) return formOf({ ...of.series, dtstart: of.recurrenceId });
  return newForm((of.item.due ?? today).slice(0, 10), of.item.due?.slice(11, 16) ?? '');
}

/** From the one looked at on; from a later day where one is said: what comes before it stays as it is. */
const splitFrom = (recurrenceId: string, { date }: RuleForm): string => (date > recurrenceId.slice(0, 10) ? date : recurrenceId);

function waysOf({ item, series }: RuleOf, rows: Reader): Ways {
  const held = item === null ? [] : rows.by('part', 'itemId', item.id).flatMap((part) => (part.personId && !part.takenBackAt ? [part.personId] : []));
  return {
    offDay: series?.offDay ?? 'keep',
    missed: series ? series.missed : item && eachCounts(item.title, tagNames(item.tagIds, rows)) ? null : 'roll',
    whenDone: series?.whenDone ?? false,
    turn: series?.turn ?? 'fixed',
    dayPart: series ? series.dayPart : (item?.dayPart ?? null),
    persons: series?.personIds ?? held,
  };
}

const tagNames = (ids: readonly string[], rows: Reader): string[] =>
  ids.flatMap((id) => {
    const tag = rows.find('tag', id);
    return tag === undefined ? [] : [tag.name];
  });

const seriesFields = ({ persons, missed, ...ways }: Ways) => ({ ...ways, missed: missed ?? undefined, personIds: persons });

function Whose({ ways, onChange }: { ways: Ways; onChange: (ways: Ways) => void }) {
  const { rows, house } = useOpenHouse();
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && person.role !== 'outside')
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <View className="gap-2">
      <GroupChips
        choices={groupChoices(calendarDateOf(useNow(), house.zone), rows)}
        chosen={ways.persons}
        onChoose={(ids) => {
          const persons = [...new Set([...ways.persons, ...ids])];
          const isNew = ways.persons.length < 2 && persons.length > 1;
          onChange({ ...ways, persons, turn: isNew ? 'turns' : ways.turn });
        }}
      />
      <LabelledToggles
        label={t('turn.people')}
        on={ways.persons}
        options={people.map(({ id, name }) => ({ value: id, words: name }))}
        onChange={(persons) => onChange({ ...ways, persons, turn: persons.length > 1 ? ways.turn : 'fixed' })}
      />
      {ways.persons.length > 1 ? (
        <LabelledChoice
          label={t('turn.how')}
          value={ways.turn}
          options={(['fixed', 'turns', 'fair'] as const).map((value) => ({ value, words: t(`turn.${value}`) }))}
          onChange={(turn) => onChange({ ...ways, turn })}
        />
      ) : null}
    </View>
  );
}

function WhenMissed({ ways, onChange }: { ways: Ways; onChange: (ways: Ways) => void }) {
  return (
    <LabelledChoice
      label={t('rule.missed')}
      value={ways.missed}
      options={(['roll', 'keep'] as const).map((value) => ({ value, words: t(`rule.missed.${value}`) }))}
      onChange={(missed) => onChange({ ...ways, missed })}
    />
  );
}

function Rarer({ ways, onChange }: { ways: Ways; onChange: (ways: Ways) => void }) {
  return (
    <>
      <LabelledChoice
        label={t('rule.offDay')}
        value={ways.offDay}
        options={(['keep', 'before', 'after'] as const).map((value) => ({ value, words: t(`rule.offDay.${value}`) }))}
        onChange={(offDay) => onChange({ ...ways, offDay })}
      />
      <Switch words={t('rule.whenDone')} on={ways.whenDone} onChange={(whenDone) => onChange({ ...ways, whenDone })} />
    </>
  );
}
