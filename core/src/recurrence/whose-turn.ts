import type { Rows } from '../reader/finding.ts';
import { GUESSED_MINUTES } from '../model/nature.ts';
import { countingParts } from '../followup/standing.ts';
import type { Item, Turn } from '../model/item.ts';
import type { Noun } from '../model/nouns.ts';
import type { Override, Series } from '../model/series.ts';
import { daysOf } from '../time/clock.ts';
import { lastMadeOf, occurrencesAfter, type ChoreHouse } from './chores.ts';
import { comingOf } from './coming.ts';
import type { Exception } from './exceptions.ts';
import { CarriedMinutes, fairTurn, type Carried } from './fair.ts';
import type { Occurrence } from './occurrences.ts';
import { Presence } from './presence.ts';
import { among, firstOf, queueAfter } from './turns.ts';

/** Who has an occurrence, and how they came to it. */
export interface Assigned {
  personIds: string[];
  turn: Turn;
}

/** Whoever holds an item of a chore: of several, the first. */
export const holderOf = (item: Item, rows: Rows): string | null => countingParts(rows.by('part', 'itemId', item.id))[0]?.personId ?? null;

/** The queue as the last occurrence left it. `before`: of those earlier than this one. */
export function queueOf(series: Series, rows: Rows, before?: string): string[] {
  const last = lastMadeOf(series.id, rows, (item) => item.turn !== null && (before === undefined || item.recurrenceId! < before));
  return among(last ? queueAfter(last.turn!, holderOf(last, rows)) : series.personIds, series.personIds);
}

/** Whose turn an occurrence is, as things stand: what somebody said about it first, then the way the chore is shared. */
export function assign(
  series: Series,
  { recurrenceId, at }: Occurrence,
  queue: readonly string[],
  carried: () => CarriedMinutes,
  presence: Presence,
  overrides: readonly Override[],
): Assigned {
  const day = daysOf(at);
  const turn = (kind: Turn['kind'], more: Partial<Turn> = {}): Turn => ({ kind, queue: [...queue], countsFor: null, minutes: null, skipped: [], ...more });
  const given = overrides.find((one) => one.recurrenceId === recurrenceId && one.personId !== null);
  if (given && presence.isThere(given.personId!, day)) return { personIds: [given.personId!], turn: turn('given', { countsFor: given.countsFor }) };
  if (series.turn === 'fixed') return { personIds: series.personIds.filter((id) => presence.isInHouse(id)), turn: turn('fixed') };
  if (series.turn === 'turns') {
    const { personId, skipped } = firstOf(queue, (id) => presence.isThere(id, day));
    return personId === null ? { personIds: [], turn: turn('nobody') } : { personIds: [personId], turn: turn('turns', { skipped }) };
  }
  const able = series.personIds.flatMap((id) => presence.of(id) ?? []);
  const found = fairTurn(day, able, carried());
  return found ? { personIds: [found.personId], turn: turn('fair', { minutes: found.minutes }) } : { personIds: [], turn: turn('nobody') };
}

/** Minutes of fair chores, done or open, by who has them and the day. */
export function carriedSoFar(rows: Rows): CarriedMinutes {
  const carried = new CarriedMinutes();
  for (const series of rows.all('series')) for (const one of carriedOf(series, rows)) carried.add(one);
  return carried;
}

/** What a chore counts for in giving out fair turns: what there is of it, done or open. */
export function carriedOf(series: Series, rows: Rows): Carried[] {
  if (series.turn !== 'fair') return [];
  const carried: Carried[] = [];
  for (const item of rows.by('item', 'seriesId', series.id)) {
    if (item.removedAt !== null || item.due === null) continue;
    for (const { personId } of countingParts(rows.by('part', 'itemId', item.id)))
      if (personId !== null) carried.push({ personId, day: daysOf(item.due), minutes: item.effort ?? GUESSED_MINUTES });
  }
  return carried;
}

/** An occurrence that is not an item yet. */
export interface Ahead {
  series: Series;
  occurrence: Occurrence;
  assigned: Assigned;
}

/**
 * Everything still to come up to a day, with whose turn it would be, in the order of time: fair turns are given one after the other.
 * Of what comes so long after it was done, and of a chore whose next waits for its last, only what is certain.
 */
export function choresAhead(until: string, rows: Rows, house: ChoreHouse, of: Series[] = rows.all('series')): Ahead[] {
  const found = of.flatMap((series) => comingOf(series, until, rows, house).map((occurrence) => ({ series, occurrence })));
  found.sort(inTime);
  return withTurns(found, rows, house);
}

/** The order in which turns are given out. */
export function inTime(a: Pick<Ahead, 'series' | 'occurrence'>, b: Pick<Ahead, 'series' | 'occurrence'>): number {
  if (a.occurrence.at !== b.occurrence.at) return a.occurrence.at < b.occurrence.at ? -1 : 1;
  return a.series.id < b.series.id ? -1 : a.series.id > b.series.id ? 1 : 0;
}

/** The next ones of a chore, so many at most, with whose turn each would be as far as its own queue says. */
function nextTurns(series: Series, many: number, rows: Rows, house: ChoreHouse): Ahead[] {
  const last = lastMadeOf(series.id, rows)?.recurrenceId ?? null;
  if (series.rrule === null && last !== null) return [];
  const coming: Occurrence[] = [];
  for (const occurrence of occurrencesAfter(series, last, house, rows)) if (coming.push(occurrence) === many) break;
  return withTurns(coming.map((occurrence) => ({ series, occurrence })), rows, house); // prettier-ignore
}

/** The same of a chore that is not there yet, or not so: nothing of it is made, and of it only these are exceptions. */
export function nextTurnsIf(series: Series, exceptions: readonly Exception[], many: number, rows: Rows, house: ChoreHouse): Ahead[] {
  const { id, houseId, seq, stamps } = series;
  const overrides = exceptions.map((one): Override => ({ id, houseId, seq, stamps, seriesId: id, ...one }));
  const by = (noun: Noun, field: string, value: string) => {
    if (field !== 'seriesId' || value !== id) return rows.by(noun, field as never, value);
    return noun === 'override' ? overrides : [];
  };
  return nextTurns(series, many, { find: rows.find.bind(rows), all: rows.all.bind(rows), by: by as Rows['by'] }, house);
}

/** Fair turns are given one after the other, in the order of time. */
function withTurns(found: readonly Pick<Ahead, 'series' | 'occurrence'>[], rows: Rows, house: ChoreHouse): Ahead[] {
  const carried = found.some(({ series }) => series.turn === 'fair') ? carriedSoFar(rows) : new CarriedMinutes();
  const presence = new Presence(rows, house);
  const chores = new Map<string, { queue: string[]; overrides: readonly Override[] }>();
  return found.map(({ series, occurrence }) => {
    const chore = chores.get(series.id) ?? { queue: queueOf(series, rows), overrides: rows.by('override', 'seriesId', series.id) };
    const assigned = assign(series, occurrence, chore.queue, () => carried, presence, chore.overrides);
    chore.queue = queueAfter(assigned.turn, assigned.personIds[0] ?? null);
    chores.set(series.id, chore);
    if (series.turn === 'fair')
      for (const personId of assigned.personIds) carried.add({ personId, day: daysOf(occurrence.at), minutes: series.effort ?? GUESSED_MINUTES });
    return { series, occurrence, assigned };
  });
}
