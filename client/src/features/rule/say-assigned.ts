import type { Reader, Turn } from '@kotiva/core';
import { t, together } from '@/words';

/** "Eetu: 95 min in four weeks, the least of those able." Null: it goes without saying. */
export function sayAssigned(turn: Turn | null, holder: string | null, rows: Reader): string | null {
  if (turn === null || turn.kind === 'fixed') return null;
  if (turn.kind === 'nobody') return t('turn.nobody');
  const nameOf = (id: string): string => {
    const person = rows.find('person', id);
    return person === undefined ? '' : person.name;
  };
  const name = holder === null ? '' : nameOf(holder);
  if (turn.kind === 'given') return turn.countsFor === null ? t('turn.given', { name }) : t('turn.swapped', { name, with: nameOf(turn.countsFor) });
  if (turn.kind === 'fair') return t('turn.least', { name, minutes: turn.minutes ?? 0 });
  if (turn.skipped.length > 0) return t('turn.skipped', { name, away: together(turn.skipped.map(nameOf)) });
  return t('turn.inTurn', { name });
}
