import { calendarDateOf, DAY_PARTS, isHere, itemsOf, type Item, type Missed, type PartOfDay, type Series, type TurnKind } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Fold, LabelledChoice, LabelledToggles, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { previewOf, RulePreview } from './ahead.tsx';
import { RuleEnd, RuleFields } from './rule-fields.tsx';
import { faultOf, formOf, newForm, ruleOf, type RuleForm } from './rule-form.ts';

interface Ways {
  offDay: Series['offDay'];
  missed: Missed;
  whenDone: boolean;
  turn: TurnKind;
  dayPart: PartOfDay | null;
  persons: string[];
}

/** How an item comes back: set, changed for this and the following, left out once, ended, or taken away. */
export function ChorePanel({ item, onClose }: { item: Item; onClose: () => void }) {
  const { rows } = usePlace();
  const held = item.seriesId === null ? null : rows.get('series', item.seriesId);
  const series = held === null || typeof held === 'string' ? null : held;
  return (
    <View className="my-2 gap-4 rounded-sheet bg-ground p-4">
      <RuleEditor item={item} series={series} onClose={onClose} />
      {series ? <OnlyThis item={item} series={series} onClose={onClose} /> : null}
    </View>
  );
}

function RuleEditor({ item, series, onClose }: { item: Item; series: Series | null; onClose: () => void }) {
  const { house, rows } = usePlace();
  const now = useNow();
  const give = useGive();
  const [form, setForm] = useState<RuleForm>(() => startOf(item, series, calendarDateOf(now, house.zone)));
  const [ways, setWays] = useState<Ways>(() =>
    waysOf(
      item,
      series,
      rows.by('part', 'itemId', item.id).flatMap((part) => (part.personId && !part.takenBackAt ? [part.personId] : [])),
    ),
  );
  const [error, setError] = useState<string | null>(null);
  const fault = faultOf(form);
  const said = fault ? null : ruleOf(form);
  const preview = said ? previewOf(said, ways.offDay, house) : null;
  const save = () => {
    if (!said || !preview || 'says' in preview) return;
    const { persons, ...rest } = ways;
    const fields = { ...said, ...rest, persons };
    const reason = series
      ? give(
          'chore.change',
          { series: series.id, from: item.recurrenceId, ...fields },
          { words: t('said.choreChanged', { title: item.title }), undo: true, ownRefusal: true },
        )
      : give('chore.make', { item: item.id, ...fields }, { words: t('said.choreMade', { title: item.title }), undo: true, ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else onClose();
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
      <View className="-mx-4">
        <Fold words={t('rule.more')}>
          <View className="gap-4 px-4 pb-2">
            {form.kind === 'after' || form.kind === 'typed' ? null : <RuleEnd form={form} onChange={setForm} />}
            {form.kind === 'after' ? null : <Rarer ways={ways} onChange={setWays} />}
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
      <View className="flex-row flex-wrap gap-2">
        <Button kind="main" onPress={save} disabled={!preview || 'says' in preview}>
          {t(series ? 'rule.saveFollowing' : 'rule.save')}
        </Button>
        <Button kind="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </View>
    </>
  );
}

function startOf(item: Item, series: Series | null, today: string): RuleForm {
  if (!series) return newForm((item.due ?? today).slice(0, 10), item.due?.slice(11, 16) ?? '');
  return formOf({ ...series, dtstart: item.recurrenceId ?? series.dtstart });
}

const waysOf = (item: Item, series: Series | null, held: string[]): Ways => ({
  offDay: series?.offDay ?? 'keep',
  missed: series?.missed ?? 'keep',
  whenDone: series?.whenDone ?? false,
  turn: series?.turn ?? 'fixed',
  dayPart: series?.dayPart ?? item.dayPart,
  persons: series?.personIds ?? held,
});

function Whose({ ways, onChange }: { ways: Ways; onChange: (ways: Ways) => void }) {
  const { rows } = usePlace();
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && person.role !== 'outside')
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <View className="gap-2">
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

function Rarer({ ways, onChange }: { ways: Ways; onChange: (ways: Ways) => void }) {
  return (
    <>
      <LabelledChoice
        label={t('rule.offDay')}
        value={ways.offDay}
        options={(['keep', 'before', 'after'] as const).map((value) => ({ value, words: t(`rule.offDay.${value}`) }))}
        onChange={(offDay) => onChange({ ...ways, offDay })}
      />
      <LabelledChoice
        label={t('rule.missed')}
        value={ways.missed}
        options={(['keep', 'roll'] as const).map((value) => ({ value, words: t(`rule.missed.${value}`) }))}
        onChange={(missed) => onChange({ ...ways, missed })}
      />
      <Switch words={t('rule.whenDone')} on={ways.whenDone} onChange={(whenDone) => onChange({ ...ways, whenDone })} />
    </>
  );
}

/** What concerns this one alone, and the ways out. */
function OnlyThis({ item, series, onClose }: { item: Item; series: Series; onClose: () => void }) {
  const { rows } = usePlace();
  const give = useGive();
  const recurrenceId = item.recurrenceId!;
  const one = { series: series.id, recurrenceId };
  const isLast = itemsOf(series.id, rows).at(-1)?.id === item.id;
  const act = (...[name, payload, words]: Parameters<typeof give> extends [infer N, infer P, ...unknown[]] ? [N, P, string] : never) => {
    if (!give(name, payload as never, { words, undo: true })) onClose();
  };
  return (
    <View className="flex-row flex-wrap gap-2 border-t border-line pt-4">
      <Button onPress={() => act('chore.skip', one, t('said.skipped', { title: item.title }))}>{t('rule.skip')}</Button>
      {isLast && series.rrule !== null ? (
        <Button onPress={() => act('chore.ahead', { series: series.id }, t('said.ahead', { title: item.title }))}>{t('rule.ahead')}</Button>
      ) : null}
      <Button onPress={() => act('chore.plain', { item: item.id }, t('said.plain', { title: item.title }))}>{t('rule.plain')}</Button>
      <Button onPress={() => act('chore.end', one, t('said.choreEnded', { title: item.title }))}>{t('rule.noMore')}</Button>
    </View>
  );
}
