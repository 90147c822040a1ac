import { waitsForTie, type Item, type Reader, type Part } from '@kotiva/core';
import type { KnotState, Strand } from '@/ui';
import { t, type WordKey } from '@/words';
import { nameOf, personOf } from '@/words/people.ts';

/** What a part looks like as a knot. */
export function knotOf(item: Pick<Item, 'confirm'>, part: Part): KnotState {
  if (part.personId === null) return part.standing === 'completed' ? 'done' : 'nobody';
  if (part.excusedAt) return 'excused';
  if (part.passedTo) return 'passed';
  switch (part.standing) {
    case 'completed':
      return waitsForTie(item, part) ? 'waits' : 'done';
    case 'declined':
      return 'declined';
    case 'tentative':
      return 'asked';
    case 'in-process':
      return 'underway';
    case 'accepted':
      return 'taken';
    case 'delegated':
      return 'passed';
    case 'needs-action':
      return part.seenAt ? 'seen' : 'unseen';
  }
}

export { nameOf, personOf };

/** The parts of an item that were given to somebody and not taken back, in the order they were given; at once, as they came to the house. */
export const givenParts = (rows: Reader, itemId: string): Part[] =>
  rows
    .by('part', 'itemId', itemId)
    .filter((part) => part.personId !== null && part.takenBackAt === null)
    .sort((a, b) => ((a.givenAt ?? '') < (b.givenAt ?? '') ? -1 : (a.givenAt ?? '') > (b.givenAt ?? '') ? 1 : arrivalOf(rows, a) - arrivalOf(rows, b)));

const arrivalOf = (rows: Reader, part: Part): number => personOf(rows, part.personId)?.stamps['']?.s ?? 0;

export function strandsOf(item: Item, parts: readonly Part[], rows: Reader): Strand[] {
  return parts.map((part) => {
    const person = personOf(rows, part.personId);
    return { key: part.id, state: knotOf(item, part), colour: person?.colour ?? null, mark: person?.mark ?? '' };
  });
}

/** "Leila: checked off, Noor: seen": what a thread says without pictures. */
export const sayStrands = (item: Item, parts: readonly Part[], rows: Reader): string =>
  parts.map((part) => `${nameOf(rows, part.personId)}: ${t(`knot.${knotOf(item, part)}` as WordKey)}`).join(', ');
