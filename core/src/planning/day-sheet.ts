import type { Rows } from '../reader/finding.ts';
import { GUESSED_MINUTES } from '../model/nature.ts';
import type { Capacity } from '../model/capacity.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Person } from '../model/person.ts';
import { counts } from '../followup/standing.ts';
import { weekdayOf } from '../time/clock.ts';
import { DAY_PARTS, inOrder, placeFor, sortable, type DayPart, type AgendaEntry, type Sortable } from './agenda.ts';
import { itemsInPlay } from './in-play.ts';
import type { PlanView } from './rows.ts';
import { Today } from './whereabouts.ts';

/** One person's day: what is for today and what was done today, by part of the day. */
export interface DayBand {
  person: Person;
  cells: Record<DayPart, AgendaEntry[]>;
  /** Minutes of all of it, what is done included; 10 for each that nobody put a figure on. */
  load: number;
  /** How many of them are such guesses. */
  guesses: number;
  /** Minutes the person has on this weekday, or null if nobody said. */
  capacity: number | null;
}

/** The day of several people side by side, as far as it can be seen from here. One walk over the items, however many people. */
export function daySheet(people: readonly Person[], view: Omit<PlanView, 'personId'>, rows: Rows, capacities: readonly Capacity[] = []): DayBand[] {
  const days = new Map(people.map(({ id }) => [id, { today: new Today({ ...view, personId: id }), found: [] as Sortable[] }]));
  const { date } = new Today({ ...view, personId: '' });
  for (const item of itemsInPlay(date, rows)) {
    const parts = rows.by('part', 'itemId', item.id);
    for (const personId of whose(item, parts, rows)) {
      const day = days.get(personId);
      const entry = day ? placeFor(item, parts, day.today, rows) : null;
      if (day && entry && (entry.where === 'today' || entry.where === 'done')) day.found.push(sortable(entry, day.today));
    }
  }
  return people.map((person) => bandOf(person, days.get(person.id)!, capacities));
}

/** Those it may be for: who has a part of it, and whose list or pile it lies in while nobody has. */
export function whose(item: Item, parts: readonly Part[], rows: Rows): string[] {
  const found: string[] = [];
  for (const part of parts) {
    if (!counts(part)) continue;
    if (part.personId !== null) found.push(part.personId);
    else if (item.listId === null) found.push(item.makerId);
    else {
      const list = rows.find('list', item.listId);
      if (list !== undefined) found.push(list.ownerId);
    }
  }
  return [...new Set(found)];
}

function bandOf(person: Person, { today, found }: { today: Today; found: Sortable[] }, capacities: readonly Capacity[]): DayBand {
  const entries = inOrder(found);
  // what is done stands behind what is still to do
  const ordered = [...entries.filter((entry) => entry.where === 'today'), ...entries.filter((entry) => entry.where === 'done')];
  const cells = Object.fromEntries(DAY_PARTS.map((part) => [part, ordered.filter((entry) => entry.dayPart === part)])) as DayBand['cells'];
  const known = capacities.find((one) => one.personId === person.id);
  return {
    person,
    cells,
    load: entries.reduce((sum, entry) => sum + minutesFor(entry.item), 0),
    guesses: entries.filter((entry) => entry.item.effort === null).length,
    capacity: known ? known.minutes[weekdayOf(today.date) - 1]! : null,
  };
}

/** Minutes something takes; 10 where nobody said. */
export const minutesFor = (item: Pick<Item, 'effort'>): number => item.effort ?? GUESSED_MINUTES;
