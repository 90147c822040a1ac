import { relationToList } from '../access/relations.ts';
import { isDone, openParts } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import { isHere, type Person } from '../model/person.ts';
import type { ChoreHouse } from '../recurrence/chores.ts';
import { USUAL_CAPACITY } from '../recurrence/presence.ts';
import { choresAhead, type Ahead } from '../recurrence/whose-turn.ts';
import type { Reader } from '../reader/reader.ts';
import { addDays, calendarDateOf } from '../time/clock.ts';
import { minutesFor } from './day-sheet.ts';
import { loadAhead } from './load.ts';
import type { Carrier, Load } from './share-out.ts';

/** So many days from today on are shared out. */
const SHARED_DAYS = 7;

/** One thing to be shared out: an item nobody has, or a turn of a chore still to come. */
export type Shareable = { key: string; title: string; date: string; minutes: number } & ({ kind: 'item'; item: Item } | { kind: 'turn'; ahead: Ahead });

export interface WeekToShare {
  carriers: Carrier[];
  loads: Load[];
  /** By the id of the load. */
  shareables: Map<string, Shareable>;
}

type Rows = Pick<Reader, 'find' | 'by' | 'all'>;

/**
 * The next seven days' work that nobody has, and the turns still to come that nobody has decided about, among those who may do it and have any time that week; what
 * they already have counts for them.
 */
export function weekToShare(now: string, house: ChoreHouse, rows: Rows): WeekToShare {
  const today = calendarDateOf(now, house.zone);
  const last = addDays(today, SHARED_DAYS - 1);
  const people = rows
    .all('person')
    .filter((person) => isHere(person) && person.role !== 'outside')
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  const turns = choresAhead(last, rows, house).filter(({ series, assigned }) => series.turn !== 'fixed' && assigned.turn.kind !== 'given');
  const found = [
    ...turns.map((ahead) => ({ shareable: asTurn(ahead), able: ahead.series.personIds, turn: ahead.assigned.personIds[0] ?? null })),
    ...rows.all('item').flatMap((item) => (isNobodys(item, last, rows) ? [{ shareable: asItem(item), able: ableFor(item, people, rows), turn: null }] : [])),
  ].filter(({ able }) => able.length > 0);
  const load = loadAhead(
    people.map(({ id }) => id),
    now,
    house,
    rows,
  );
  const carriers = people.flatMap(({ id }) => {
    const week = load.get(id)!.slice(0, SHARED_DAYS);
    const capacity = week.reduce((sum, day) => sum + (day.away ? 0 : (day.capacity ?? USUAL_CAPACITY)), 0);
    const mine = turns.reduce((sum, { assigned, series }) => sum + (assigned.personIds.includes(id) ? minutesFor(series) : 0), 0);
    const held = week.reduce((sum, day) => sum + day.minutes, 0) - mine;
    return capacity > 0 ? [{ id, capacity, held }] : [];
  });
  return {
    carriers,
    loads: found.map(({ shareable, able, turn }) => ({ id: shareable.key, minutes: shareable.minutes, able, turn })),
    shareables: new Map(found.map(({ shareable }) => [shareable.key, shareable])),
  };
}

/** Why somebody was chosen for something. */
export type WhyGiven =
  | { kind: 'only' | 'turn' }
  /** How much of their hours they then have, of all: between 0 and 1, or more. */
  | { kind: 'room'; share: number };

export function whyGiven(load: Load, to: string, week: WeekToShare, given: ReadonlyMap<string, string>): WhyGiven {
  if (load.able.filter((id) => week.carriers.some((one) => one.id === id)).length === 1) return { kind: 'only' };
  if (load.turn === to) return { kind: 'turn' };
  return { kind: 'room', share: carriedBy(to, week, given) };
}

/** Load ÷ capacity of one who carries, with what is given. */
export function carriedBy(carrierId: string, { carriers, loads }: WeekToShare, given: ReadonlyMap<string, string>): number {
  const carrier = carriers.find(({ id }) => id === carrierId);
  if (!carrier) return 0;
  return loads.reduce((sum, { id, minutes }) => sum + (given.get(id) === carrierId ? minutes : 0), carrier.held) / carrier.capacity;
}

const asTurn = (ahead: Ahead): Shareable => ({
  kind: 'turn',
  key: `${ahead.series.id} ${ahead.occurrence.recurrenceId}`,
  title: ahead.series.title,
  date: ahead.occurrence.at,
  minutes: minutesFor(ahead.series),
  ahead,
});

const asItem = (item: Item): Shareable => ({ kind: 'item', key: item.id, title: item.title, date: item.due!, minutes: minutesFor(item), item });

/** In a list, due by then, open, and in nobody's hands. */
function isNobodys(item: Item, last: string, rows: Rows): boolean {
  if (item.removedAt !== null || item.listId === null || item.parentId !== null || item.due === null || item.due.slice(0, 10) > last) return false;
  const parts = rows.by('part', 'itemId', item.id);
  return !isDone(item, parts) && openParts(parts).every(({ personId }) => personId === null);
}

/** Those who may check off in its list. */
function ableFor(item: Item, people: readonly Person[], rows: Rows): string[] {
  return people.filter((person) => ['owner', 'edit', 'check'].includes(relationToList(item.listId!, person, rows) ?? '')).map(({ id }) => id);
}
