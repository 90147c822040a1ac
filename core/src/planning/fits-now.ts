import type { Rows } from '../reader/finding.ts';
import { GUESSED_MINUTES } from '../model/nature.ts';
import { countingParts } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { Energy } from '../model/nature-schema.ts';
import type { Part } from '../model/part.ts';
import { openItems } from './in-play.ts';
import type { PlanView } from './rows.ts';
import { isKeptAway, remaining, Today, whereaboutsOf } from './whereabouts.ts';

/** What is so just now. What is left open (null) excludes nothing. */
export interface Circumstances {
  minutes: number | null;
  /** How much one has: what takes more is left out. */
  energy: Energy | null;
  /** Situations that are so; null: not asked. */
  situations: readonly string[] | null;
  place: string | null;
}
export type Condition = keyof Circumstances;

/** Something that could be done: mine, or nobody's that I may check off. */
export interface Candidate {
  item: Item;
  part: Part;
  /** What remains of it, in minutes; 10 where nobody said. */
  minutes: number;
  isGuess: boolean;
  late: boolean;
  dueWithinADay: boolean;
}

const A_DAY = 24 * 60;
const ENERGIES: readonly Energy[] = ['low', 'middle', 'high'];

/**
 * What could be done at all: this person's, and nobody's they may check off, in the order given. Undated things count;
 * what is planned for later, comes by its rule on a later day, may not start yet, lies on the shelf or waits for others does not.
 */
export function candidatesOf(view: PlanView, rows: Rows, mayCheck: (item: Item) => boolean): Candidate[] {
  const today = new Today(view);
  const found: Candidate[] = [];
  for (const item of openItems(rows)) {
    const parts = rows.by('part', 'itemId', item.id);
    const counting = countingParts(parts);
    const part = counting.find((one) => one.personId === view.personId) ?? counting.find((one) => one.personId === null);
    if (!part || part.standing === 'declined' || (part.personId === null && (item.parentId !== null || !mayCheck(item)))) continue;
    const where = whereaboutsOf(item, part, parts, today, rows);
    if (where === 'done' || where === 'not-yet' || where === 'shelf' || where === 'waiting') continue;
    if (isReference(item, part, rows) || isToCome(item, today.date) || (part.plan !== null && part.plan.slice(0, 10) > today.date)) continue;
    found.push(candidate(item, part, today));
  }
  return found;
}

/** One of a chore whose day has not come: made ahead, since the one before is done. */
export const isToCome = ({ recurrenceId, due }: Pick<Item, 'recurrenceId' | 'due'>, date: string): boolean =>
  recurrenceId !== null && (due ?? recurrenceId).slice(0, 10) > date;

const isReference = (item: Item, part: Part, rows: Rows): boolean => {
  const list = item.listId === null ? undefined : rows.find('list', item.listId);
  return list !== undefined && list.kind !== 'undated' && isKeptAway(item, part, rows);
};

function candidate(item: Item, part: Part, today: Today): Candidate {
  const late = today.isLate(item);
  return {
    item,
    part,
    minutes: item.effort === null ? GUESSED_MINUTES : Math.max(1, Math.round(remaining(item, part.percent))),
    isGuess: item.effort === null,
    late,
    dueWithinADay: !late && item.due !== null && today.zone.deadline(item.due) - today.minute <= A_DAY,
  };
}

/** What presses most first: late, due within a day, the nearer deadline, the more important, then by title. */
export function pressingFirst(a: Candidate, b: Candidate): number {
  const due = ({ item }: Candidate) => item.due ?? '9';
  return (
    Number(b.late) - Number(a.late) ||
    Number(b.dueWithinADay) - Number(a.dueWithinADay) ||
    due(a).localeCompare(due(b)) ||
    b.item.importance - a.item.importance ||
    a.item.title.localeCompare(b.item.title)
  );
}

/** Why something does not fit, or null if it does. */
export function whyNot({ item, minutes }: Candidate, given: Circumstances): Condition | null {
  if (given.minutes !== null && minutes > given.minutes) return 'minutes';
  if (given.energy !== null && item.energy !== null && ENERGIES.indexOf(item.energy) > ENERGIES.indexOf(given.energy)) return 'energy';
  if (given.situations !== null && item.situationIds.some((id) => !given.situations!.includes(id))) return 'situations';
  if (given.place !== null && item.placeId !== null && item.placeId !== given.place) return 'place';
  return null;
}

export interface Fit {
  fits: Candidate[];
  /** The best set within the minutes; all that fits where no minutes are given. */
  best: Candidate[];
  /** Of the best set. */
  minutes: number;
  /** Where nothing fits: the condition that, let go, brings most back. */
  loosen: { condition: Condition; brings: number } | null;
}

/** What fits now, and the best of it. */
export function fitsNow(candidates: readonly Candidate[], given: Circumstances): Fit {
  const fits = candidates.filter((one) => whyNot(one, given) === null);
  const best = given.minutes === null ? fits : bestWithin(fits, given.minutes);
  return { fits, best, minutes: best.reduce((sum, one) => sum + one.minutes, 0), loosen: fits.length === 0 ? whatToLoosen(candidates, given) : null };
}

function whatToLoosen(candidates: readonly Candidate[], given: Circumstances): Fit['loosen'] {
  const asked = (Object.keys(given) as Condition[]).filter((condition) => given[condition] !== null);
  const options = asked.map((condition) => ({ condition, brings: candidates.filter((one) => whyNot(one, { ...given, [condition]: null }) === null).length }));
  options.sort((a, b) => b.brings - a.brings);
  return options[0] && options[0].brings > 0 ? options[0] : null;
}

/**
 * The best set within so many minutes, exactly: most late; then most due within a day; then the largest sum of
 * 2 × importance + 1; then the fewest minutes; then what stands first. A knapsack over whole minutes.
 */
export function bestWithin(candidates: readonly Candidate[], minutes: number): Candidate[] {
  const most = Math.max(0, Math.floor(minutes));
  const usable = candidates.filter((one) => one.minutes <= most);
  const worth = weigher(usable.length, most);
  const width = most + 1;
  // best[i * width + m]: the worth of the best set among the i-th and later within m minutes
  const best = new Float64Array((usable.length + 1) * width);
  for (let i = usable.length - 1; i >= 0; i--) {
    const one = usable[i]!;
    const value = worth(one);
    for (let m = 0; m <= most; m++) {
      const without = best[(i + 1) * width + m]!;
      const withIt = m >= one.minutes ? value + best[(i + 1) * width + m - one.minutes]! : -1;
      best[i * width + m] = Math.max(without, withIt);
    }
  }
  const chosen: Candidate[] = [];
  for (let i = 0, left = most; i < usable.length; i++) {
    const one = usable[i]!;
    if (left < one.minutes || worth(one) + best[(i + 1) * width + left - one.minutes]! < best[i * width + left]!) continue;
    chosen.push(one);
    left -= one.minutes;
  }
  return chosen;
}

/** One number that orders as the four sums do, one after the other: each place is wider than all below it together. */
function weigher(count: number, most: number): (one: Candidate) => number {
  const importance = most + 1;
  const soon = importance * (7 * count + 1);
  const late = soon * (count + 1);
  return (one) => (one.late ? late : 0) + (one.dueWithinADay ? soon : 0) + importance * (2 * one.item.importance + 1) - one.minutes;
}
