import { calendarDateOf } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { SlotForm } from '@/features/slot';
import { useDraft } from '@/store/drafts.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, ConfirmRow, Field } from '@/ui';
import { t, together } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { DuePanel } from './due-panel.tsx';
import { useGiveAll } from './give-all.ts';
import { nameOf } from './knot-of.ts';
import { PeoplePicker } from './people-picker.tsx';
import { useWays } from './ways.tsx';
import { PlaceList } from './where-panel.tsx';
import { stepsBelow } from './say-removed.ts';

export type Decision = 'today' | 'day' | 'later' | 'shelf' | 'list' | 'person' | 'copy' | 'start' | 'time' | 'remove';
const ALL: readonly Decision[] = ['today', 'day', 'later', 'shelf', 'list', 'person', 'start', 'time', 'remove'];
/** With copying: where things lie in lists. */
export const IN_LISTS: readonly Decision[] = ['today', 'day', 'list', 'copy', 'person', 'later', 'shelf', 'start', 'time', 'remove'];

interface DecisionsProps {
  items: readonly string[];
  /** Those that make sense here. */
  only?: readonly Decision[];
  onDone?: () => void;
  /** Opened by a key. */
  open?: Decision | null;
  onOpen?: (decision: Decision | null) => void;
}

/** The few next decisions about one or several items, each one tap or two. */
export function Decisions({ items, only = ALL, onDone, open, onOpen }: DecisionsProps) {
  const [own, setOwn] = useState<Decision | null>(null);
  const shown = open === undefined ? own : open;
  const setShown = onOpen ?? setOwn;
  const { house } = useOpenHouse();
  const now = useNow();
  const decide = useDecide(items, () => {
    setShown(null);
    onDone?.();
  });
  return (
    <View className="gap-2">
      <View role="group" aria-label={t('decide.label', { count: items.length })} className="flex-row flex-wrap gap-2">
        {only.map((decision) => (
          <Button
            key={decision}
            tone={decision === 'remove' ? 'late' : undefined}
            onPress={() => (needsMore(decision) ? setShown(shown === decision ? null : decision) : decide[decision]())}
          >
            {t(`decide.${decision}`)}
          </Button>
        ))}
      </View>
      {shown === 'day' ? <DuePanel due={null} verb={t('plan.set')} onSave={(day) => day && decide.onDay(day)} onClose={() => setShown(null)} /> : null}
      {shown === 'start' ? <DuePanel due={null} onSave={(day) => day && decide.notBefore(day)} onClose={() => setShown(null)} /> : null}
      {shown === 'time' ? (
        <View className="my-2 rounded-sheet bg-ground p-4">
          <SlotForm
            slot={null}
            itemIds={items}
            date={calendarDateOf(now, house.zone)}
            onDone={() => {
              setShown(null);
              onDone?.();
            }}
          />
        </View>
      ) : null}
      {shown === 'list' ? <PlaceList here={null} onChoose={decide.intoList} onClose={() => setShown(null)} /> : null}
      {shown === 'copy' ? <PlaceList here={null} onChoose={decide.copyInto} onClose={() => setShown(null)} /> : null}
      {shown === 'person' ? <ToPerson items={items} onHand={decide.toPersons} onClose={() => setShown(null)} /> : null}
    </View>
  );
}

type Immediate = 'today' | 'later' | 'shelf' | 'remove';
export const needsMore = (decision: Decision): decision is Exclude<Decision, Immediate> =>
  ['day', 'list', 'copy', 'person', 'start', 'time'].includes(decision);

/** What each decision does. */
export function useDecide(items: readonly string[], done: () => void) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const giveAll = useGiveAll();
  const what = sayWhat();
  const all = [...items];
  const steps = items.reduce((sum, id) => {
    const item = rows.get('item', id);
    return typeof item === 'string' ? sum : sum + stepsBelow(item, rows);
  }, 0);
  const settle = (reason: unknown) => {
    if (!reason) done();
  };
  function sayWhat(): string {
    const only = items.length === 1 ? rows.get('item', items[0]!) : 'absent';
    return typeof only === 'string' ? t('decide.several', { count: items.length }) : t('decide.one', { title: only.title });
  }
  const onDay = (plan: string) =>
    settle(giveAll('part.plan', all, (some) => ({ items: some, plan }), t('decided.day', { what, when: sayMoment(plan, now, house.zone) })));
  return {
    today: () => onDay(calendarDateOf(now, house.zone)),
    onDay,
    later: () => settle(giveAll('part.later', all, (some) => ({ items: some }), t('decided.later', { what }))),
    shelf: () => settle(giveAll('part.shelve', all, (some) => ({ items: some }), t('decided.shelf', { what }))),
    remove: () =>
      settle(
        giveAll(
          'item.remove',
          all,
          (some) => ({ items: some }),
          steps > 0 ? t('decided.removedWithSteps', { what, count: steps }) : t('decided.removed', { what }),
        ),
      ),
    intoList: (list: string, section: string | null, name: string) =>
      settle(giveAll('item.move', all, (some) => ({ items: some, list, section }), t('decided.list', { what, list: name }))),
    copyInto: (list: string, section: string | null, name: string) =>
      settle(giveAll('item.copy', all, (some) => ({ items: some, list, section }), t('decided.copied', { what, list: name }))),
    toPersons: (persons: string[], message: string) =>
      settle(
        giveAll(
          'part.handOver',
          all,
          (some) => ({ items: some, persons, message, policy: persons.length > 1 ? ('each' as const) : undefined }),
          t('decided.person', { what, names: together(persons.map((id) => nameOf(rows, id))) }),
        ),
      ),
    notBefore: (start: string) =>
      settle(giveAll('item.change', all, ([item]) => ({ item: item!, start }), t('decided.start', { what, when: sayMoment(start, now, house.zone) }), 1)),
  };
}

/** To whom, with a word if wanted. */
export function ToPerson({ items, onHand, onClose }: { items: readonly string[]; onHand: (persons: string[], message: string) => void; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const [chosen, setChosen] = useState<string[]>([]);
  const [message, setMessage, sent] = useDraft(`hand-many/${[...items].sort()[0] ?? ''}`, '');
  const lists = items.map((id) => rows.get('item', id)).map((item) => (typeof item === 'string' ? null : item.listId));
  const ways = useWays(lists, chosen);
  return (
    <View className="my-2 gap-3 rounded-sheet bg-ground p-4">
      <PeoplePicker
        label={t('hand.whom')}
        chosen={chosen}
        onToggle={(id) => setChosen(chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id])}
      />
      {ways.asks}
      <Field label={t('hand.message')} value={message} onChangeText={setMessage} maxLength={20_000} />
      <ConfirmRow
        verb={t('hand.over')}
        onConfirm={() => {
          onHand(chosen, message);
          sent();
          ways.settle();
        }}
        disabled={chosen.length === 0 || ways.isOpen}
        cancel={t('common.cancel')}
        onCancel={() => (sent(), onClose())}
      />
    </View>
  );
}
