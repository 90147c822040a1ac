import { calendarDateOf, DAY_PARTS, stageOf, stagesOf, tagKey, type Energy, type Item, type Part, type Policy } from '@kotiva/core';
import { useState } from 'react';
import { placesOf } from '@/store/here.ts';
import { View } from 'react-native';
import { FieldsPanel } from '@/features/fields';
import { ChorePanel } from '@/features/rule';
import { SlotForm, slotsFor } from '@/features/slot';
import { useSubmit, type Feedback } from '@/store/live-house.tsx';
import { useDraft } from '@/store/drafts.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ConfirmRow, ErrorLine, Field, Toggles, Txt } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { DuePanel } from './due-panel.tsx';
import { RemindersPanel } from './reminders-panel.tsx';
import { WaitingPanel } from './waiting-panel.tsx';
import { WantedPanel } from './wanted-panel.tsx';
import { WherePanel } from './where-panel.tsx';

export type Panel =
  | 'policy'
  | 'due'
  | 'plan'
  | 'start'
  | 'rule'
  | 'effort'
  | 'energy'
  | 'importance'
  | 'tags'
  | 'place'
  | 'situations'
  | 'where'
  | 'reminders'
  | 'waiting'
  | 'dayPart'
  | 'wanted'
  | 'slot'
  | 'stage'
  | 'fields';

interface PanelProps {
  item: Item;
  onClose: () => void;
}

/** What opens below the sentence to change one part of it. */
export function SentencePanel({ panel, part, canChange, ...props }: PanelProps & { panel: Panel; part: Part | null; canChange: boolean }) {
  switch (panel) {
    case 'due':
      return <Deadline {...props} />;
    case 'plan':
      return <Plan {...props} part={part} />;
    case 'start':
      return <NotBefore {...props} />;
    case 'policy':
      return <Who {...props} />;
    case 'rule':
      return <ChorePanel {...props} />;
    case 'effort':
      return <Minutes {...props} />;
    case 'energy':
      return <EnergyNeeded {...props} />;
    case 'importance':
      return <Importance {...props} />;
    case 'tags':
      return <Tags {...props} />;
    case 'place':
      return <AtPlace {...props} />;
    case 'situations':
      return <Situations {...props} />;
    case 'where':
      return <WherePanel {...props} />;
    case 'reminders':
      return <RemindersPanel {...props} canChange={canChange} />;
    case 'dayPart':
      return <InPartOfDay {...props} />;
    case 'wanted':
      return <WantedPanel {...props} />;
    case 'slot':
      return <BookedTime {...props} part={part} />;
    case 'fields':
      return <FieldsPanel {...props} />;
    case 'stage':
      return <StageChoice {...props} />;
    case 'waiting':
      return <WaitingPanel items={[props.item.id]} onClose={props.onClose} />;
  }
}

const Box = ({ children }: { children: React.ReactNode }) => <View className="my-2 gap-3 rounded-sheet bg-ground p-4">{children}</View>;

/** Changes the item; closes when it went. */
function useChange({ item, onClose }: PanelProps) {
  const submit = useSubmit();
  return (fields: Omit<Parameters<typeof submit<'item.change'>>[1], 'item'>, saying: Feedback = {}) => {
    const reason = submit('item.change', { item: item.id, ...fields }, { undo: true, words: t('said.changed', { title: item.title }), ...saying });
    if (!reason) onClose();
    return reason;
  };
}

function Deadline({ item, onClose }: PanelProps) {
  const { house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const save = (due: string | null) => {
    const words = due ? t('said.due', { when: sayMoment(due, now, house.zone) }) : t('said.noDue');
    if (!submit('item.setDue', { item: item.id, due }, { words, undo: true })) onClose();
  };
  return <DuePanel of={`due/${item.id}`} due={item.due} onClose={onClose} onSave={save} />;
}

/** The day one means to take the next step, with a line for the history if wanted: one action. */
function Plan({ item, part, onClose }: PanelProps & { part: Part | null }) {
  const { house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const [entry, setEntry, sent] = useDraft(`plan-entry/${item.id}`, '');
  const save = (plan: string | null) => {
    const words = plan ? t('said.planned', { when: sayMoment(plan, now, house.zone) }) : t('said.noPlan');
    if (submit('part.plan', { items: [item.id], plan, entry: entry.trim() || undefined }, { words, undo: true })) return;
    sent();
    onClose();
  };
  return (
    <DuePanel of={`plan/${item.id}`} due={part?.plan ?? null} onClose={onClose} onSave={save} verb={t('plan.set')} none={t('plan.none')}>
      <Field label={t('plan.entry')} placeholder={t('plan.entryHint')} value={entry} onChangeText={setEntry} maxLength={20_000} />
    </DuePanel>
  );
}

function NotBefore(props: PanelProps) {
  const change = useChange(props);
  return (
    <DuePanel of={`start/${props.item.id}`} due={props.item.start} onClose={props.onClose} onSave={(start) => void change({ start })} none={t('start.none')} />
  );
}

function Who({ item, onClose }: PanelProps) {
  const submit = useSubmit();
  const set = (policy: Policy) => {
    if (!submit('item.setPolicy', { item: item.id, policy }, { words: t(policy === 'each' ? 'policy.eachMeans' : 'policy.anyMeans'), undo: true })) onClose();
  };
  return (
    <Box>
      <Choice
        label={t('policy.label')}
        value={item.policy}
        onChange={set}
        options={[
          { value: 'each', words: t('policy.each') },
          { value: 'any', words: t('policy.any') },
        ]}
      />
      <Txt size={15} tone="muted">
        {t('policy.eachMeans')} {t('policy.anyMeans')}
      </Txt>
      <Button kind="quiet" onPress={onClose}>
        {t('common.cancel')}
      </Button>
    </Box>
  );
}

const USUAL_MINUTES = ['5', '10', '15', '30', '45', '60', '90', '120'] as const;

function Minutes(props: PanelProps) {
  const change = useChange(props);
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    if (!/^\d{1,5}$/.test(typed.trim()) || Number(typed) < 1) return setError(t('effort.notANumber'));
    const reason = change({ effort: Number(typed) }, { ownRefusal: true });
    if (reason) setError(sayReason(reason));
  };
  return (
    <Box>
      <Choice
        label={t('effort.label')}
        value={String(props.item.effort ?? '') as (typeof USUAL_MINUTES)[number]}
        options={USUAL_MINUTES.map((value) => ({ value, words: t('chip.effort', { minutes: value }) }))}
        onChange={(value) => void change({ effort: Number(value) })}
      />
      <Field label={t('effort.other')} value={typed} inputMode="numeric" onChangeText={setTyped} error={error} onSubmitEditing={save} />
      <ConfirmRow verb={t('due.set')} onConfirm={save} cancel={t('common.cancel')} onCancel={props.onClose}>
        {props.item.effort === null ? null : <Button onPress={() => void change({ effort: null })}>{t('effort.none')}</Button>}
      </ConfirmRow>
    </Box>
  );
}

function EnergyNeeded(props: PanelProps) {
  const change = useChange(props);
  return (
    <Box>
      <Choice<Energy | 'none'>
        label={t('sentence.panel.energy')}
        value={props.item.energy ?? 'none'}
        options={(['none', 'low', 'middle', 'high'] as const).map((value) => ({ value, words: t(`energy.${value}`) }))}
        onChange={(value) => void change({ energy: value === 'none' ? null : value })}
      />
    </Box>
  );
}

function InPartOfDay(props: PanelProps) {
  const change = useChange(props);
  return (
    <Box>
      <Choice
        label={t('sentence.panel.dayPart')}
        value={props.item.dayPart ?? 'any'}
        options={DAY_PARTS.map((value) => ({ value, words: t(`dayPart.${value}`) }))}
        onChange={(value) => void change({ dayPart: value === 'any' ? null : value })}
      />
    </Box>
  );
}

function BookedTime({ item, part, onClose }: PanelProps & { part: Part | null }) {
  const { rows, me, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  const slot = slotsFor(item.id, me.id, rows)[0] ?? null;
  return (
    <Box>
      <SlotForm slot={slot} itemIds={slot?.itemIds ?? [item.id]} date={(part?.plan ?? item.due ?? today).slice(0, 10)} onDone={onClose} />
    </Box>
  );
}

/** Which stage of its list it is in: one tap moves it. */
function StageChoice({ item, onClose }: PanelProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [error, setError] = useState<string | null>(null);
  const list = item.listId === null ? undefined : rows.find('list', item.listId);
  if (list === undefined) return null;
  const move = (stage: string) => {
    const words = t('said.toStage', { title: item.title, stage: stagesOf(list).find(({ id }) => id === stage)?.name ?? '' });
    const reason = submit('item.toStage', { item: item.id, stage }, { words, undo: true, ownRefusal: true });
    if (reason) setError(sayReason(reason));
    else onClose();
  };
  return (
    <Box>
      <Choice
        label={t('sentence.panel.stage')}
        value={stageOf(item, list, rows.by('part', 'itemId', item.id))?.id ?? null}
        options={stagesOf(list).map(({ id, name }) => ({ value: id, words: name }))}
        onChange={move}
      />
      <ErrorLine says={error} />
    </Box>
  );
}

function Importance(props: PanelProps) {
  const change = useChange(props);
  return (
    <Box>
      <Choice
        label={t('sentence.changeImportance')}
        value={String(props.item.importance)}
        options={(['0', '1', '2', '3'] as const).map((value) => ({ value, words: t(`importance.${value}`) }))}
        onChange={(value) => void change({ importance: Number(value) })}
      />
    </Box>
  );
}

/** Tags one knows, to be put on or taken off, and a field for new ones. */
function Tags(props: PanelProps) {
  const { rows } = useOpenHouse();
  const change = useChange(props);
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const known = rows
    .all('tag')
    .filter((tag) => !tag.removedAt)
    .sort((a, b) => a.name.localeCompare(b.name));
  const [on, setOn] = useState<readonly string[]>(() => known.filter((tag) => props.item.tagIds.includes(tag.id)).map((tag) => tag.name));
  const save = () => {
    const named = typed
      .split(/[,#]/)
      .map((name) => name.trim())
      .filter(Boolean);
    const all = [...on, ...named.filter((name) => !on.some((other) => tagKey(other) === tagKey(name)))];
    const reason = change({ tags: all }, { ownRefusal: true });
    if (reason) setError(sayReason(reason));
  };
  return (
    <Box>
      {known.length > 0 ? (
        <Toggles label={t('sentence.panel.tags')} options={known.map((tag) => ({ value: tag.name, words: `#${tag.name}` }))} on={on} onChange={setOn} />
      ) : null}
      <Field label={t('tags.new')} placeholder={t('tags.newHint')} value={typed} onChangeText={setTyped} error={error} onSubmitEditing={save} />
      <ConfirmRow verb={t('common.save')} onConfirm={save} cancel={t('common.cancel')} onCancel={props.onClose} />
    </Box>
  );
}

function AtPlace(props: PanelProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const change = useChange(props);
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const places = placesOf(rows);
  const make = () => {
    const known = places.find((place) => tagKey(place.name) === tagKey(typed));
    if (known) return void change({ place: known.id });
    const reason = submit('place.make', { name: typed }, { words: t('said.placeMade', { name: typed }), ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) setTyped('');
  };
  return (
    <Box>
      {places.length > 0 ? (
        <Choice
          label={t('sentence.panel.place')}
          value={props.item.placeId ?? ''}
          options={[{ value: '', words: t('place.anywhere') }, ...places.map((place) => ({ value: place.id, words: place.name }))]}
          onChange={(place) => void change({ place: place || null })}
        />
      ) : null}
      <Field label={t('place.new')} value={typed} onChangeText={setTyped} error={error} onSubmitEditing={make} />
      {typed.trim() ? <Button onPress={make}>{t('place.make')}</Button> : null}
    </Box>
  );
}

function Situations(props: PanelProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const change = useChange(props);
  const [on, setOn] = useState<readonly string[]>(props.item.situationIds);
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const known = rows.all('situation').filter((situation) => !situation.removedAt);
  const make = () => {
    const reason = submit('situation.make', { name: typed, kind: 'tool' }, { words: t('said.situationMade', { name: typed }), ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) setTyped('');
  };
  return (
    <Box>
      <Txt size={15} tone="muted">
        {t('situations.means')}
      </Txt>
      {known.length > 0 ? (
        <Toggles label={t('sentence.panel.situations')} options={known.map(({ id, name }) => ({ value: id, words: name }))} on={on} onChange={setOn} />
      ) : null}
      <Field label={t('situations.new')} value={typed} onChangeText={setTyped} error={error} onSubmitEditing={make} />
      <ConfirmRow verb={t('common.save')} onConfirm={() => void change({ situations: [...on] })} cancel={t('common.cancel')} onCancel={props.onClose}>
        {typed.trim() ? <Button onPress={make}>{t('situations.make')}</Button> : null}
      </ConfirmRow>
    </Box>
  );
}
