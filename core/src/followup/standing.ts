import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';

/**
 * Whether a part is among those the item waits for. Excused, taken back, passed on (also after declining) are not.
 */
export function counts(part: Pick<Part, 'excusedAt' | 'takenBackAt' | 'passedTo'>): boolean {
  return part.excusedAt === null && part.takenBackAt === null && part.passedTo === null;
}

/** The parts that count. */
export const countingParts = (parts: readonly Part[]): Part[] => parts.filter(counts);

/** Handed over by somebody else, who waits for it. */
export const isFromAnother = ({ personId, giverId }: Pick<Part, 'personId' | 'giverId'>): boolean =>
  personId !== null && giverId !== null && giverId !== personId;

/** Checked off, but its giver wanted to see it and has not yet. Own parts and nobody's need no look. */
export function waitsForTie(item: Pick<Item, 'confirm'>, part: Part): boolean {
  return item.confirm && part.standing === 'completed' && part.tiedAt === null && part.originId !== null && part.originId !== part.personId;
}

/** Checked off and, where wanted, tied off. */
function isSettled(item: Pick<Item, 'confirm'>, part: Part): boolean {
  return part.standing === 'completed' && !waitsForTie(item, part);
}

/** Done: `any`: one part that counts is settled; `each`: all are, and there is one. */
export function isDone(item: Pick<Item, 'confirm' | 'policy'>, parts: readonly Part[]): boolean {
  let counting = 0;
  let settled = 0;
  for (const part of parts) {
    if (!counts(part)) continue;
    counting += 1;
    if (isSettled(item, part)) settled += 1;
  }
  return item.policy === 'any' ? settled > 0 : counting > 0 && settled === counting;
}

/** The completed part that came first: by arrival, ties by id. What an `any` item was completed by. */
export function firstCompleted(parts: readonly Part[]): Part | null {
  const completed = countingParts(parts).filter((part) => part.standing === 'completed');
  completed.sort((a, b) => compare(a.arrivedAt ?? '', b.arrivedAt ?? '') || compare(a.id, b.id));
  return completed[0] ?? null;
}

export interface Progress {
  done: number;
  of: number;
}

/** How many of the parts that count are settled; an `any` item is one thing. */
export function progressOf(item: Pick<Item, 'confirm' | 'policy'>, parts: readonly Part[]): Progress {
  const counting = countingParts(parts);
  if (item.policy === 'any') return { done: isDone(item, parts) ? 1 : 0, of: 1 };
  return { done: counting.filter((part) => isSettled(item, part)).length, of: counting.length };
}

/** Everybody who still has the item in hand: their part counts and is not checked off. */
export const openParts = (parts: readonly Part[]): Part[] => countingParts(parts).filter((part) => part.standing !== 'completed');

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** When an item was done, by the taps: of `any` by the first, of `each` by the last. Null while it is open. */
export function doneSince(item: Pick<Item, 'confirm' | 'policy'>, parts: readonly Part[]): string | null {
  if (!isDone(item, parts)) return null;
  if (item.policy === 'any') return firstCompleted(parts)?.completedAt ?? null;
  return countingParts(parts).reduce<string | null>(
    (last, { completedAt }) => (completedAt !== null && (last === null || completedAt > last) ? completedAt : last),
    null,
  );
}
