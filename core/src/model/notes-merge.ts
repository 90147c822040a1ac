import { diff3Merge, diffPatch } from 'node-diff3';

/** So much of a change of notes is told in the history: lines, and characters of each. */
const MOST_LINES = 12;
const MOST_CHARACTERS = 160;

const linesOf = (text: string): string[] => text.split(/\r?\n/);

/**
 * Two that wrote on the same base, three-way by line. Where both changed the same lines both stay, the one that was there first:
 * `besides` says that some do. No line of either writer is lost.
 */
export function mergeNotes(base: string, mine: string, theirs: string): { text: string; besides: boolean } {
  if (theirs === base || theirs === mine) return { text: mine, besides: false };
  let besides = false;
  const lines: string[] = [];
  for (const { ok, conflict } of diff3Merge(linesOf(theirs), linesOf(base), linesOf(mine), { excludeFalseConflicts: true })) {
    if (ok) lines.push(...ok);
    if (!conflict) continue;
    besides ||= conflict.a.length > 0 && conflict.b.length > 0;
    lines.push(...conflict.a, ...conflict.b);
  }
  return { text: lines.join('\n'), besides };
}

/** What a change of notes added and took away, in their order, empty lines left out. */
export function changedLines(before: string, after: string): { added: string[]; removed: string[] } {
  const [added, removed]: [string[], string[]] = [[], []];
  for (const { buffer1, buffer2 } of diffPatch(linesOf(before), linesOf(after))) {
    removed.push(...buffer1.chunk);
    added.push(...buffer2.chunk);
  }
  const told = (lines: string[]) =>
    lines
      .filter((line) => line.trim() !== '')
      .slice(0, MOST_LINES)
      .map((line) => (line.length > MOST_CHARACTERS ? `${line.slice(0, MOST_CHARACTERS - 1)}…` : line));
  return { added: told(added), removed: told(removed) };
}
