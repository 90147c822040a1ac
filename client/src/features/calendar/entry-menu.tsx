import { titleOfEntry, type CalendarEntry } from '@kotiva/core';
import { useState } from 'react';
import { DuePanel } from '@/features/item';
import { GiveTo, SwapWith, type One } from '@/features/occurrence';
import { SlotForm } from '@/features/slot';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Heading, Menu, Sheet, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { keyOf, oneOf } from './entry.ts';
import type { Move } from './use-move.tsx';

type Panel = 'move' | 'give' | 'swap' | 'book';

/** Everything that can be done about an entry, in words: moved, given to somebody, swapped, left out; time booked for it or freed. */
export function EntryMenu({ entry, onMove }: { entry: CalendarEntry; onMove: Move }) {
  const { rows } = useOpenHouse();
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
              of={`move/${keyOf(entry)}`}
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
  const submit = useSubmit();
  if (!one) return [];
  const { series, recurrenceId } = one;
  const it = { series: series.id, recurrenceId };
  const { title } = series;
  return [
    { key: 'give', words: t('calendar.give'), onPress: () => setOpen('give') },
    ...(series.personIds.length > 1 && one.personId !== null ? [{ key: 'swap', words: t('calendar.swap'), onPress: () => setOpen('swap') }] : []),
    { key: 'skip', words: t('rule.skip'), onPress: () => void submit('chore.skip', it, { words: t('said.skipped', { title }), undo: true }) },
    { key: 'end', words: t('rule.noMore'), late: true, onPress: () => void submit('chore.end', it, { words: t('said.choreEnded', { title }), undo: true }) },
  ];
}

function useSlotEntries(entry: CalendarEntry, setOpen: (panel: Panel) => void): MenuEntry[] {
  const submit = useSubmit();
  if (entry.kind !== 'slot') return [];
  return [
    { key: 'change', words: t('slot.change'), onPress: () => setOpen('book') },
    { key: 'free', words: t('slot.free'), onPress: () => void submit('slot.free', { slot: entry.slot.id }, { words: t('said.slotFreed'), undo: true }) },
  ];
}
