import type { Rows } from '../reader/finding.ts';
import { instantDue } from '../time/clock.ts';
import { counts } from './standing.ts';

/** How likely somebody is late, with its evidence. */
export interface Lateness {
  late: number;
  of: number;
  /** Expected value of Beta(1 + late, 3 + on time). */
  likelihood: number;
  words: 'seldom' | 'now-and-then' | 'often' | 'mostly';
}

/** So many dated parts are looked at, the latest; with fewer than so many nothing is said. */
const LAST = 20;
const LEAST = 5;

/**
 * Over the last dated parts handed to a person: a part counts as late if it was checked off after its deadline, or is open past it.
 * Null: too few to say anything. Before anything is known people count as punctual three times to one.
 */
export function latenessOf(personId: string, rows: Rows, now: string, zone: string): Lateness | null {
  const dated: { due: string; late: boolean }[] = [];
  for (const part of rows.all('part')) {
    if (part.personId !== personId || part.giverId === null || part.giverId === personId || !counts(part)) continue;
    const item = rows.find('item', part.itemId);
    if (item === undefined || item.due === null || item.removedAt !== null) continue;
    const due = instantDue(item.due, zone);
    const done = part.standing === 'completed' ? part.completedAt : null;
    // what is open and not yet due says nothing
    if (done === null && due > now) continue;
    dated.push({ due, late: done === null || done > due });
  }
  const last = dated.sort((a, b) => (a.due < b.due ? 1 : -1)).slice(0, LAST);
  if (last.length < LEAST) return null;
  const late = last.filter((one) => one.late).length;
  const likelihood = (1 + late) / (4 + last.length);
  return { late, of: last.length, likelihood, words: inWords(likelihood) };
}

const inWords = (likelihood: number): Lateness['words'] =>
  likelihood < 0.2 ? 'seldom' : likelihood < 0.4 ? 'now-and-then' : likelihood < 0.6 ? 'often' : 'mostly';
