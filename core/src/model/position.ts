import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing';

export interface Positioned {
  id: string;
  position: string;
}

/** Own order: by key, ties by id. */
export const byPosition = (a: Positioned, b: Positioned): number =>
  a.position < b.position ? -1 : a.position > b.position ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0;

export const keyAtEnd = (siblings: readonly Positioned[]): string => {
  let last: string | null = null;
  for (const { position } of siblings) if (last === null || position > last) last = position;
  return generateKeyBetween(last, null);
};

export interface Neighbours {
  /** Comes right after this one. */
  after?: string | null;
  /** Comes right before this one. */
  before?: string | null;
}

/**
 * A key beside the neighbour named; with neither, at the end; `after: null` alone, at the top. A neighbour that is gone is passed over.
 * Where two siblings share a key, all are spaced anew: `respaced` says how, by id.
 */
export function keyBeside(siblings: readonly Positioned[], neighbours: Neighbours): { position: string; respaced: Map<string, string> } {
  const { positions, respaced } = keysBeside(siblings, neighbours, 1);
  return { position: positions[0]!, respaced };
}

/** Keys for several one after the other in that place. */
export function keysBeside(
  siblings: readonly Positioned[],
  { after, before }: Neighbours,
  many: number,
): { positions: string[]; respaced: Map<string, string> } {
  const ordered = [...siblings].sort(byPosition);
  const slot = slotOf(ordered, after, before);
  const left = ordered[slot - 1]?.position ?? null;
  const right = ordered[slot]?.position ?? null;
  if (left === null || right === null || left < right) return { positions: generateNKeysBetween(left, right, many), respaced: new Map() };
  const keys = generateNKeysBetween(null, null, ordered.length + many);
  const respaced = new Map(ordered.map((one, index) => [one.id, keys[index < slot ? index : index + many]!]));
  return { positions: keys.slice(slot, slot + many), respaced };
}

function slotOf(ordered: readonly Positioned[], after: string | null | undefined, before: string | null | undefined): number {
  const afterAt = after ? ordered.findIndex((one) => one.id === after) : -1;
  if (afterAt >= 0) return afterAt + 1;
  const beforeAt = before ? ordered.findIndex((one) => one.id === before) : -1;
  if (beforeAt >= 0) return beforeAt;
  return after === null ? 0 : ordered.length;
}
