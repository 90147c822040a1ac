import { holderOf, missedBefore, type Item, type Reader } from '@kotiva/core';
import { useOpenHouse } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { sayAssigned } from './say-assigned.ts';

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
const sayTurn = (item: Item, rows: Reader): string | null => sayAssigned(item.turn, holderOf(item, rows), rows);
