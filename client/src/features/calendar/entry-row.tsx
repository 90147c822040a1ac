import { endOf, overlapsOf, type CalendarEntry, type Reader } from '@kotiva/core';
import { useState } from 'react';
import { ItemRow, nameOf, useOpenItem } from '@/features/item';
import { OccurrenceSheet } from '@/features/occurrence';
import { useOpenHouse } from '@/store/store.ts';
import { Row } from '@/ui';
import { t, together } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayRuleShort } from '@/words/rules.ts';
import { DragEntry } from './drag.tsx';
import { EntryMenu } from './entry-menu.tsx';
import type { Move } from './use-move.tsx';

interface EntryRowProps {
  entry: CalendarEntry;
  /** Everything of its day: what booked time overlaps is among it. */
  day: readonly CalendarEntry[];
  place: string;
  onMove: Move;
}

/** What stands on a day, as a row: checked off in place, opened by a tap, dragged, and all of it by words as well. */
export function EntryRow({ entry, day, place, onMove }: EntryRowProps) {
  const { rows, me } = useOpenHouse();
  const tools = <EntryMenu entry={entry} onMove={onMove} />;
  return (
    <DragEntry entry={entry} place={place}>
      {entry.kind === 'ahead' ? (
        <AheadRow entry={entry} tools={tools} />
      ) : entry.kind === 'slot' ? (
        <SlotRow entry={entry} day={day} tools={tools} />
      ) : (
        <ItemRow
          item={entry.item}
          sub={entry.kind === 'plan' ? sayPlanned(entry.personIds, me.id, rows) : undefined}
          right={entry.done ? undefined : (entry.time ?? '')}
          tools={tools}
        />
      )}
    </DragEntry>
  );
}

/** Whose intention it is, where it is not one’s own. */
const sayPlanned = ([holder]: readonly string[], meId: string, rows: Reader): string =>
  holder === undefined || holder === meId ? t('calendar.planned') : t('calendar.plannedBy', { name: nameOf(rows, holder) });

/** One that is still to come: whose turn it would be. */
function AheadRow({ entry, tools }: { entry: CalendarEntry & { kind: 'ahead' }; tools: React.ReactNode }) {
  const { rows } = useOpenHouse();
  const [open, setOpen] = useState(false);
  const { series, assigned } = entry.ahead;
  const names = assigned.personIds.map((id) => nameOf(rows, id));
  const who = names.length > 0 ? together(names) : assigned.turn.kind === 'nobody' ? t('calendar.nobodyCan') : null;
  const sub = [who, sayRuleShort(series)].filter(Boolean).join(' · ');
  return (
    <>
      <Row title={series.title} sub={sub} right={entry.time ?? undefined} onPress={() => setOpen(true)} tools={tools} />
      {open ? <OccurrenceSheet ahead={entry.ahead} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

/** Time one booked: from when to when, for what, and what else lies in it. */
function SlotRow({ entry, day, tools }: { entry: CalendarEntry & { kind: 'slot' }; day: readonly CalendarEntry[]; tools: React.ReactNode }) {
  const { me } = useOpenHouse();
  const open = useOpenItem();
  const time = entry.time!;
  const itemIds = entry.items.map(({ id }) => id);
  const overlaps = entry.done ? [] : overlapsOf({ time, minutes: entry.minutes, itemIds }, day, me.id);
  const said = [
    t('slot.booked', { from: sayHour(time), to: sayHour(endOf({ time, minutes: entry.minutes })) }),
    ...overlaps.map((one) => t('slot.overlaps', { ...one })),
  ];
  return (
    <Row
      title={together(entry.items.map(({ title }) => title))}
      sub={said.join(' · ')}
      subTone={overlaps.length > 0 ? 'waits' : 'plan'}
      wraps
      done={entry.done}
      right={time}
      onPress={() => open(entry.items[0]!.id)}
      tools={tools}
    />
  );
}
