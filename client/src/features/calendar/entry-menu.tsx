import { addDays, choresAhead, holderOf, isHere, isOver, madeOf, titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { DuePanel, nameOf } from '@/features/item';
import { SlotForm } from '@/features/slot';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Heading, Menu, Sheet, Txt, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { oneOf, type One } from './entry.ts';
import type { Move } from './use-move.tsx';

type Panel = 'move' | 'give' | 'swap' | 'book';

/** Everything that can be done about an entry, in words: moved, given to somebody, swapped, left out; time booked for it or freed. */
export function EntryMenu({ entry, onMove }: { entry: CalendarEntry; onMove: Move }) {
  const { rows } = usePlace();
  const [open, setOpen] = useState<Panel | null>(null);
  const title = titleOfEntry(entry);
  const one = oneOf(entry, rows);
  const forChore = useChoreEntries(one, setOpen);
  const forSlot = useSlotEntries(entry, setOpen);
  if (entry.kind !== 'ahead' && entry.done) return null;
  const move: MenuEntry = { key: 'move', words: t('calendar.move'), onPress: () => setOpen('move') };
  const book: MenuEntry[] = entry.kind === 'due' || entry.kind === 'plan' ? [{ key: 'book', words: t('slot.book'), onPress: () => setOpen('book') }] : [];
  const close = () => setOpen(null);
  return (
    <>
      <Menu label={t('row.more', { title })} entries={[move, ...book, ...forChore, ...forSlot]} />
      {open ? (
        <Sheet open onClose={close} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
          {open === 'move' ? (
            <DuePanel
              due={entry.time === null ? entry.date : `${entry.date}T${entry.time}`}
              onSave={(to) => {
                close();
                if (to !== null) onMove(entry, to);
              }}
              onClose={close}
              verb={t('calendar.moveHere')}
              none={null}
            />
          ) : open === 'book' ? (
            <SlotForm
              slot={entry.kind === 'slot' ? entry.slot : null}
              itemIds={entry.kind === 'slot' ? entry.slot.itemIds : entry.kind === 'ahead' ? [] : [entry.item.id]}
              date={entry.date}
              onDone={close}
            />
          ) : one && open === 'give' ? (
            <GiveTo one={one} onDone={close} />
          ) : one ? (
            <SwapWith one={one} onDone={close} />
          ) : null}
        </Sheet>
      ) : null}
    </>
  );
}

function useChoreEntries(one: One | null, setOpen: (panel: Panel) => void): MenuEntry[] {
  const give = useGive();
  if (!one) return [];
  const { series, recurrenceId } = one;
  const it = { series: series.id, recurrenceId };
  const { title } = series;
  return [
    { key: 'give', words: t('calendar.give'), onPress: () => setOpen('give') },
    ...(series.personIds.length > 1 && one.personId !== null ? [{ key: 'swap', words: t('calendar.swap'), onPress: () => setOpen('swap') }] : []),
    { key: 'skip', words: t('rule.skip'), onPress: () => void give('chore.skip', it, { words: t('said.skipped', { title }), undo: true }) },
    { key: 'end', words: t('rule.noMore'), late: true, onPress: () => void give('chore.end', it, { words: t('said.choreEnded', { title }), undo: true }) },
  ];
}

function useSlotEntries(entry: CalendarEntry, setOpen: (panel: Panel) => void): MenuEntry[] {
  const give = useGive();
  if (entry.kind !== 'slot') return [];
  return [
    { key: 'change', words: t('slot.change'), onPress: () => setOpen('book') },
    { key: 'free', words: t('slot.free'), onPress: () => void give('slot.free', { slot: entry.slot.id }, { words: t('said.slotFreed'), undo: true }) },
  ];
}

function GiveTo({ one: { series, recurrenceId, personId }, onDone }: { one: One; onDone: () => void }) {
  const { rows } = usePlace();
  const give = useGive();
  const { title } = series;
  return (
    <View className="gap-2 pt-2">
      {rows
        .all('person')
        .filter((person) => isHere(person) && person.role !== 'outside' && person.id !== personId)
        .map((person) => (
          <Button
            key={person.id}
            onPress={() => {
              const to = { series: series.id, recurrenceId, person: person.id };
              if (!give('chore.giveTurn', to, { words: t('said.choreGiven', { title, name: person.name }), undo: true })) onDone();
            }}
          >
            {person.name}
          </Button>
        ))}
    </View>
  );
}

/** So far ahead a turn to change with is looked for. */
const SWAP_DAYS = 60;
const SWAPS = 8;

/** The next turns of the others: whichever is chosen, the two change places. */
function SwapWith({ one, onDone }: { one: One; onDone: () => void }) {
  const { rows, house } = usePlace();
  const now = useNow();
  const give = useGive();
  const { series, recurrenceId, at } = one;
  const others = useOthersTurns(one);
  if (others.length === 0) return <Txt tone="muted">{t('calendar.noSwap')}</Txt>;
  return (
    <View className="gap-2 pt-2">
      <Txt tone="muted">{t('calendar.swapMeans', { name: nameOf(rows, one.personId), when: sayMoment(at, now, house.zone) })}</Txt>
      {others.map((other) => (
        <Button
          key={other.recurrenceId}
          onPress={() => {
            const names = { name: nameOf(rows, one.personId), other: nameOf(rows, other.personId), title: series.title };
            if (!give('chore.swap', { series: series.id, one: recurrenceId, other: other.recurrenceId }, { words: t('said.swapped', names), undo: true }))
              onDone();
          }}
        >
          {t('calendar.swapWith', { name: nameOf(rows, other.personId), when: sayMoment(other.at, now, house.zone) })}
        </Button>
      ))}
    </View>
  );
}

function useOthersTurns({ series, recurrenceId, personId }: One): Omit<One, 'series'>[] {
  const { rows, house } = usePlace();
  const made = madeOf(series.id, rows)
    .filter((item) => !isOver(item, rows))
    .map((item) => ({ recurrenceId: item.recurrenceId!, at: item.due ?? item.recurrenceId!, personId: holderOf(item, rows) }));
  const ahead = choresAhead(addDays(recurrenceId.slice(0, 10), SWAP_DAYS), rows, house)
    .filter((one) => one.series.id === series.id)
    .map(({ occurrence, assigned }) => ({ recurrenceId: occurrence.recurrenceId, at: occurrence.at, personId: assigned.personIds[0] ?? null }));
  return [...made, ...ahead].filter((one) => one.personId !== null && one.personId !== personId && one.recurrenceId !== recurrenceId).slice(0, SWAPS);
}
