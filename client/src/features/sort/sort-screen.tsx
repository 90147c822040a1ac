import { toSort, type AgendaEntry } from '@kotiva/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Decisions, needsMore, personOf, Steps, useDecide, useOpenItem, type Decision } from '@/features/item';
import { Screen } from '@/features/shell';
import { useSubmit } from '@/store/live-house.tsx';
import { useAgenda } from '@/store/agenda.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Field, PersonMark, Switch, Txt, useKeys, useWide } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { HeldMail } from './held-mail.tsx';

/** What came in and nobody has decided about: one after the other, or several at once. */
export function SortScreen() {
  const agenda = useAgenda();
  const wide = useWide();
  const entries = toSort(agenda);
  const [at, setAt] = useState<string | null>(null);
  const [selected, setSelected] = useState<readonly string[] | null>(null);
  const [open, setOpen] = useState<Decision | null>(null);
  const ids = entries.map(({ item }) => item.id);
  const focused = at !== null && ids.includes(at) ? at : (ids[0] ?? null);
  const chosen = (selected ?? []).filter((id) => ids.includes(id));
  const targets = chosen.length > 0 ? chosen : focused ? [focused] : [];
  const goTo = (id: string | null) => {
    setAt(id);
    setOpen(null);
  };
  const done = () => {
    const next = ids.find((id, nth) => nth > ids.indexOf(targets.at(-1)!) && !targets.includes(id)) ?? null;
    goTo(next);
    if (chosen.length > 0) setSelected(null);
  };
  useSortKeys({ ids, focused, targets, goTo, toggle, setOpen, done });

  function toggle(id: string) {
    setSelected((now) => (now?.includes(id) ? now.filter((other) => other !== id) : [...(now ?? []), id]));
  }

  return (
    <Screen title={t('sort.title')} sub={entries.length > 0 ? t('sort.count', { count: entries.length }) : undefined}>
      <HeldMail />
      {entries.length === 0 ? <Empty words={t('sort.empty')} /> : null}
      {entries.length > 1 ? (
        <View className="flex-row flex-wrap items-center gap-x-2 px-4 pt-2">
          {selected === null ? (
            <Button kind="quiet" onPress={() => setSelected([])}>
              {t('sort.select')}
            </Button>
          ) : (
            <>
              <Txt face="medium">{t('sort.selected', { count: chosen.length })}</Txt>
              <Button kind="quiet" onPress={() => setSelected(chosen.length === ids.length ? [] : ids)}>
                {t(chosen.length === ids.length ? 'sort.selectNone' : 'sort.selectAll')}
              </Button>
              <Button kind="quiet" tone="muted" onPress={() => setSelected(null)}>
                {t('common.cancel')}
              </Button>
            </>
          )}
        </View>
      ) : null}
      {chosen.length > 0 ? (
        <View className="border-b border-line bg-ground px-4 py-3">
          <Decisions items={chosen} open={open} onOpen={setOpen} onDone={done} />
        </View>
      ) : null}
      {entries.map((entry) => (
        <SortCard
          key={entry.item.id}
          entry={entry}
          isOpen={entry.item.id === focused && chosen.length === 0}
          selection={selected === null ? null : chosen.includes(entry.item.id)}
          decision={open}
          onDecision={setOpen}
          onFocus={() => goTo(entry.item.id)}
          onSelect={() => toggle(entry.item.id)}
          onDone={done}
        />
      ))}
      {wide && entries.length > 0 ? (
        <Txt size={15} tone="muted" className="px-4 py-4">
          {t('sort.keys')}
        </Txt>
      ) : null}
    </Screen>
  );
}

interface SortCardProps {
  entry: AgendaEntry;
  isOpen: boolean;
  /** Null while nothing is being selected. */
  selection: boolean | null;
  decision: Decision | null;
  onDecision: (decision: Decision | null) => void;
  onFocus: () => void;
  onSelect: () => void;
  onDone: () => void;
}

/** One thing to decide about: a line until it is its turn. */
function SortCard({ entry: { item, part }, isOpen, selection, decision, onDecision, onFocus, onSelect, onDone }: SortCardProps) {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const giver = part.personId === me.id && part.giverId !== me.id ? personOf(rows, part.giverId) : null;
  const tags = item.tagIds.map((id) => rows.find('tag', id)).flatMap((tag) => (tag === undefined ? [] : [`#${tag.name}`]));
  const above = item.parentId === null ? undefined : rows.find('item', item.parentId);
  const sub = [
    giver ? t('row.from', { name: giver.name }) : null,
    above === undefined ? null : t('wait.stepOf', { title: above.title }),
    part.plan ? t('sort.planned', { day: sayMoment(part.plan, now, house.zone) }) : null,
    item.due ? t('sort.due', { day: sayMoment(item.due, now, house.zone) }) : null,
    ...tags,
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <View className={`border-b border-line px-4 ${isOpen ? 'gap-3 py-4' : 'py-1'}`}>
      <View className="min-h-11 flex-row items-center gap-3">
        {selection === null ? null : <Switch words="" label={t('sort.selectOne', { title: item.title })} on={selection} onChange={onSelect} />}
        {giver ? <PersonMark looks={giver} size={30} /> : null}
        <View className="min-w-0 grow shrink basis-0">
          {isOpen ? (
            <Reword key={item.id} id={item.id} title={item.title} canChange={giver === null} />
          ) : (
            <Pressable role="button" onPress={selection === null ? onFocus : onSelect} onLongPress={onSelect} className="min-h-11 justify-center">
              <Txt face="medium" numberOfLines={2}>
                {item.title}
              </Txt>
            </Pressable>
          )}
          {sub ? (
            <Txt size={13} tone="muted">
              {sub}
            </Txt>
          ) : null}
          {isOpen && part.message ? <Txt size={15}>{t('part.quote', { text: part.message })}</Txt> : null}
        </View>
      </View>
      {isOpen ? giver ? <Answers id={item.id} title={item.title} onDone={onDone} /> : null : null}
      {isOpen ? <Decisions items={[item.id]} only={giver ? HANDED : undefined} open={decision} onOpen={onDecision} onDone={onDone} /> : null}
      {isOpen && !giver ? <StepsHere id={item.id} /> : null}
    </View>
  );
}

/** What was handed to one is answered; a day is an answer too. */
const HANDED: readonly Decision[] = ['today', 'day'];

function Answers({ id, title, onDone }: { id: string; title: string; onDone: () => void }) {
  const submit = useSubmit();
  const open = useOpenItem();
  return (
    <View className="flex-row gap-2">
      <Button
        kind="main"
        label={t('answer.takeTitle', { title })}
        onPress={() => {
          if (!submit('part.accept', { item: id }, { words: t('said.taken', { title }), undo: true })) onDone();
        }}
      >
        {t('answer.take')}
      </Button>
      <Button label={t('answer.openTitle', { title })} onPress={() => open(id)}>
        {t('answer.answer')}
      </Button>
    </View>
  );
}

/** A hasty line becomes a clear next step, in place. */
function Reword({ id, title, canChange }: { id: string; title: string; canChange: boolean }) {
  const submit = useSubmit();
  const open = useOpenItem();
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const save = () => {
    if (typed === null || typed.trim() === title) return setTyped(null);
    const reason = submit('item.change', { item: id, title: typed }, { words: t('said.changed', { title: typed.trim() }), undo: true, ownRefusal: true });
    setError(reason ? sayReason(reason) : null);
    if (!reason) setTyped(null);
  };
  if (typed !== null)
    return <Field label={t('item.title')} hideLabel value={typed} onChangeText={setTyped} onBlur={save} onSubmitEditing={save} error={error} autoFocus />;
  return (
    <View className="flex-row items-center gap-2">
      <Pressable role="button" onPress={() => open(id)} className="min-h-11 shrink justify-center">
        <Txt size={20} face="head">
          {title}
        </Txt>
      </Pressable>
      {canChange ? (
        <Button kind="quiet" onPress={() => setTyped(title)}>
          {t('sort.reword')}
        </Button>
      ) : null}
    </View>
  );
}

function StepsHere({ id }: { id: string }) {
  const { rows } = useOpenHouse();
  const item = rows.find('item', id);
  if (item === undefined) return null;
  const steps = rows.by('item', 'parentId', id).filter((step) => !step.removedAt);
  return <Steps item={item} steps={steps} canChange />;
}

interface Keyed {
  ids: readonly string[];
  focused: string | null;
  targets: readonly string[];
  goTo: (id: string | null) => void;
  toggle: (id: string) => void;
  setOpen: (decision: Decision | null) => void;
  done: () => void;
}

const KEYS: Record<string, Decision> = { t: 'today', l: 'day', s: 'shelf', h: 'person', m: 'list' };

/** By keyboard alone: on, back, select, decide. */
function useSortKeys({ ids, focused, targets, goTo, toggle, setOpen, done }: Keyed): void {
  const decide = useDecide(targets, done);
  useKeys((key) => {
    if (focused === null) return false;
    const nth = ids.indexOf(focused);
    const decision = KEYS[key];
    if (key === 'j' || key === 'ArrowDown') goTo(ids[Math.min(ids.length - 1, nth + 1)]!);
    else if (key === 'k' || key === 'ArrowUp') goTo(ids[Math.max(0, nth - 1)]!);
    else if (key === 'x') toggle(focused);
    else if (decision && needsMore(decision)) setOpen(decision);
    else if (decision === 'today' || decision === 'shelf') decide[decision]();
    else return false;
    return true;
  });
}
