import { addDays, weekdayOf } from '../time/clock.ts';
import { folded } from './terms.ts';

/** What is looked for: words, and what narrows it as it does in the line: `#tag`, `@person`, `due this week`, `not done`. */
export interface FindQuery {
  words: string;
  tagIds: string[];
  personIds: string[];
  /** Calendar days, both included. */
  due: { from: string; to: string } | null;
  onlyOpen: boolean;
}

interface Named {
  id: string;
  name: string;
}

export interface FindNames {
  tags: readonly Named[];
  people: readonly Named[];
  /** The house's date. */
  today: string;
}

/** More days ahead nobody looks for. */
const MOST_DAYS = 3_660;
const EVER = '1970-01-01';

/** Days as they are said after `due`. */
const DAYS: readonly [RegExp, (today: string, count: number) => [from: string, to: string]][] = [
  [/^late$/, (today) => [EVER, addDays(today, -1)]],
  [/^today$/, (today) => [today, today]],
  [/^tomorrow$/, (today) => [addDays(today, 1), addDays(today, 1)]],
  [/^this week$/, (today) => weekOf(today)],
  [/^next week$/, (today) => weekOf(addDays(today, 7))],
  [/^(?:with)?in (\d{1,4}) days?$/, (today, count) => [today, addDays(today, Math.min(count, MOST_DAYS))]],
];
const DUE = /(^|\s)due (late|today|tomorrow|(?:this|next) week|(?:with)?in \d{1,4} days?)(?=\s|$)/i;
const NOT_DONE = /(^|\s)not done(?=\s|$)/i;

/** Signs that name nothing stay words, and so does a day that is none. */
export function readFindQuery(typed: string, known: FindNames): FindQuery {
  const query: FindQuery = { words: '', tagIds: [], personIds: [], due: null, onlyOpen: false };
  const idOf = (name: string, among: readonly Named[]) => among.find((one) => folded(one.name) === folded(name))?.id;
  query.words = typed
    .replace(/(^|\s)([#@])([^\s#@]+)/g, (whole, blank: string, sign: string, name: string) => {
      const id = idOf(name, sign === '#' ? known.tags : known.people);
      if (id === undefined) return whole;
      (sign === '#' ? query.tagIds : query.personIds).push(id);
      return blank;
    })
    .replace(DUE, (_, blank: string, said: string) => {
      query.due = daysOf(said.toLowerCase(), known.today);
      return blank;
    })
    .replace(NOT_DONE, (_, blank: string) => {
      query.onlyOpen = true;
      return blank;
    });
  return query;
}

function daysOf(said: string, today: string): FindQuery['due'] {
  for (const [pattern, spanOf] of DAYS) {
    const read = pattern.exec(said);
    if (!read) continue;
    const [from, to] = spanOf(today, Number(read[1] ?? 0));
    return { from, to };
  }
  return null;
}

function weekOf(day: string): [from: string, to: string] {
  const monday = addDays(day, 1 - weekdayOf(day));
  return [monday, addDays(monday, 6)];
}
