import { holderOf, missedBefore, type Item, type MemoryRows, type Turn } from '@kotiva/core';
import { useOpenHouse } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t, together } from '@/words';
import { dayMonth } from '@/words/dates.ts';

/** How this one came to who has it, and what came of those before it. */
export function ChoreLines({ item }: { item: Item }) {
  const { rows } = useOpenHouse();
  if (item.seriesId === null) return null;
  const missed = missedBefore(item, rows);
  const lines = [sayTurn(item, rows), missed ? t('turn.missed', { count: missed.many, since: dayMonth(missed.since) }) : null].filter((line) => line !== null);
  return lines.map((line) => (
    <Txt key={line} size={15} tone="muted">
      {line}
    </Txt>
  ));
}

/** Of one that is there. */
const sayTurn = (item: Item, rows: MemoryRows): string | null => sayAssigned(item.turn, holderOf(item, rows), rows);

/** "Eetu: 95 min in four weeks, the least of those able." Null: it goes without saying. */
export function sayAssigned(turn: Turn | null, holder: string | null, rows: MemoryRows): string | null {
  if (turn === null || turn.kind === 'fixed') return null;
  if (turn.kind === 'nobody') return t('turn.nobody');
  const nameOf = (id: string): string => {
    const person = rows.get('person', id);
    return typeof person === 'string' ? '' : person.name;
  };
  const name = holder === null ? '' : nameOf(holder);
  if (turn.kind === 'given') return turn.countsFor === null ? t('turn.given', { name }) : t('turn.swapped', { name, with: nameOf(turn.countsFor) });
  if (turn.kind === 'fair') return t('turn.least', { name, minutes: turn.minutes ?? 0 });
  if (turn.skipped.length > 0) return t('turn.skipped', { name, away: together(turn.skipped.map(nameOf)) });
  return t('turn.inTurn', { name });
}
