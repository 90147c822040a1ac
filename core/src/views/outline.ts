/** Steps under steps, as rows one below the other: what indenting, outdenting and dragging mean is worked out here. */

export interface OutlineNode {
  id: string;
  /** Null: at the top of what is outlined. */
  parentId: string | null;
}

export interface OutlineRow<T extends OutlineNode = OutlineNode> {
  node: T;
  /** 0 at the top. */
  depth: number;
}

/** Where something goes: below that one, after that sibling; null: first. */
export interface OutlineSpot {
  parentId: string | null;
  after: string | null;
}

/** One below the other, each followed by what is under it. `children` are in their order; what is folded keeps its steps to itself. */
export function outlineOf<T extends OutlineNode>(top: readonly T[], childrenOf: (id: string) => readonly T[]): OutlineRow<T>[] {
  const rows: OutlineRow<T>[] = [];
  // what leads back to itself stands there once
  const met = new Set<string>();
  const waiting = [...top].reverse().map((node) => ({ node, depth: 0 }));
  for (let row = waiting.pop(); row !== undefined; row = waiting.pop()) {
    if (met.has(row.node.id)) continue;
    met.add(row.node.id);
    rows.push(row);
    for (const node of [...childrenOf(row.node.id)].reverse()) waiting.push({ node, depth: row.depth + 1 });
  }
  return rows;
}

const indexOf = (rows: readonly OutlineRow[], id: string): number => rows.findIndex(({ node }) => node.id === id);

/** Where the rows under one end: the first that is no longer below it. */
function endOf(rows: readonly OutlineRow[], at: number): number {
  let end = at + 1;
  while (end < rows.length && rows[end]!.depth > rows[at]!.depth) end += 1;
  return end;
}

/** The nearest row above at that depth with nothing shallower between: a sibling, or null. */
function siblingAbove(rows: readonly OutlineRow[], at: number, depth: number): OutlineRow | null {
  for (let i = at - 1; i >= 0 && rows[i]!.depth >= depth; i--) if (rows[i]!.depth === depth) return rows[i]!;
  return null;
}

/** Indent: under the one above it at its level, as its last step. Null: there is none. */
export function indented(rows: readonly OutlineRow[], id: string): OutlineSpot | null {
  const at = indexOf(rows, id);
  if (at < 0) return null;
  const above = siblingAbove(rows, at, rows[at]!.depth);
  if (!above) return null;
  const steps = rows.slice(0, at).filter(({ node }) => node.parentId === above.node.id);
  return { parentId: above.node.id, after: steps.at(-1)?.node.id ?? null };
}

/** Outdent: one level up, right after what it was under. Null: it is at the top already. */
export function outdented(rows: readonly OutlineRow[], id: string): OutlineSpot | null {
  const row = rows[indexOf(rows, id)];
  const parent = row && row.depth > 0 ? rows.find(({ node }) => node.id === row.node.parentId) : undefined;
  return parent ? { parentId: parent.node.parentId, after: parent.node.id } : null;
}

/** Up or down past a sibling, with all that is under it. Null: there is none. */
export function shifted(rows: readonly OutlineRow[], id: string, by: -1 | 1): OutlineSpot | null {
  const row = rows[indexOf(rows, id)];
  if (!row) return null;
  const siblings = rows.filter(({ node, depth }) => depth === row.depth && node.parentId === row.node.parentId);
  const at = siblings.indexOf(row);
  const past = siblings[at + by];
  if (!past) return null;
  return { parentId: row.node.parentId, after: by === 1 ? past.node.id : (siblings[at - 2]?.node.id ?? null) };
}

/**
 * Where a dragged row goes: it takes the place of `over`, and its depth follows how far it was pulled sideways, as far as the rows around
 * allow: at most one deeper than the one above, at least as deep as the one below. What is under it comes along and can't be its target.
 */
export function dropped(rows: readonly OutlineRow[], id: string, over: string, levels: number): OutlineSpot | null {
  const from = indexOf(rows, id);
  const to = indexOf(rows, over);
  if (from < 0 || to < 0) return null;
  const end = endOf(rows, from);
  if (to > from && to < end) return null;
  const others = [...rows.slice(0, from), ...rows.slice(end)];
  const at = to > from ? indexOf(others, over) + 1 : indexOf(others, over);
  const slot = id === over ? from : at;
  const above = others[slot - 1];
  const below = others[slot];
  const deepest = above ? above.depth + 1 : 0;
  const shallowest = below ? below.depth : 0;
  const depth = Math.min(deepest, Math.max(shallowest, rows[from]!.depth + levels, 0));
  return spotAt(others, slot, depth, rows.find((row) => row.depth === 0)!.node.parentId);
}

function spotAt(rows: readonly OutlineRow[], slot: number, depth: number, root: string | null): OutlineSpot {
  const sibling = siblingAbove(rows, slot, depth);
  if (sibling) return { parentId: sibling.node.parentId, after: sibling.node.id };
  // nothing beside it: the first at the top, or the first below the one above it
  return { parentId: depth === 0 ? root : rows[slot - 1]!.node.id, after: null };
}
