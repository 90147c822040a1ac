import { addDays, daysBetween } from '../time/clock.ts';
import type { Item } from '../model/item.ts';
import type { Arrangeable } from './arrange.ts';

/** How far off a deadline is, the nearest first. */
export const DUE_BANDS = ['late', 'today', 'tomorrow', 'days', 'week', 'fortnight', 'month', 'later', 'none'] as const;
export type DueBand = (typeof DUE_BANDS)[number];

const LAST_DAY: Record<Exclude<DueBand, 'late' | 'later' | 'none'>, number> = { today: 0, tomorrow: 1, days: 3, week: 7, fortnight: 14, month: 30 };
const DATED = Object.keys(LAST_DAY) as (keyof typeof LAST_DAY)[];
/** A deadline put off beyond all others is so many days away. */
const LATER_DAYS = 60;

/** @param today calendar date. */
export function dueBandOf(due: string | null, today: string): DueBand {
  if (due === null) return 'none';
  const days = daysBetween(today, due.slice(0, 10));
  if (days < 0) return 'late';
  return DATED.find((band) => days <= LAST_DAY[band]) ?? 'later';
}

/**
 * The deadline of something that is moved to a band: its last day, with the hour it had; unchanged where it is there already. Nothing can be
 * made late: `undefined`.
 */
export function dueIn(band: DueBand, due: string | null, today: string): string | null | undefined {
  if (dueBandOf(due, today) === band) return due;
  if (band === 'late') return undefined;
  if (band === 'none') return null;
  return `${addDays(today, band === 'later' ? LATER_DAYS : LAST_DAY[band])}${due?.slice(10) ?? ''}`;
}

/** What is important against what is pressing: under each band, by importance 3 to 0. */
export function prioritiesOf<T extends Arrangeable>(entries: readonly T[], today: string): { band: DueBand; lanes: T[][] }[] {
  const bands = new Map<DueBand, T[][]>(DUE_BANDS.map((band) => [band, [[], [], [], []]]));
  for (const entry of entries) bands.get(dueBandOf(entry.item.due, today))![laneOf(entry.item)]!.push(entry);
  return [...bands].map(([band, lanes]) => ({ band, lanes }));
}

const laneOf = ({ importance }: Pick<Item, 'importance'>): number => 3 - importance;
