import type { Rows } from '../reader/finding.ts';
import type { Grouping, Sorting } from '../model/arrangement.ts';
import { valueIn } from '../followup/fields.ts';
import { fieldOfKey, isFieldKey, type FieldKey, type OwnField } from '../model/own-field.ts';
import { stageOf, stagesOf } from '../followup/stages.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Tag } from '../model/tag.ts';
import { countingParts } from '../followup/standing.ts';
import { nextDay } from './whereabouts.ts';

/** An item as one person has it. */
export interface Arrangeable {
  item: Item;
  /** The looking person's own part, or nobody's; null where it is only others'. */
  part: Part | null;
}

/** Rows under one heading. `key`: a date, or the id of a list, person, tag, stage or of what a field can be; null: those that have none. */
export interface Group<T> {
  by: Exclude<Grouping, 'usual' | 'none'>;
  key: string | null;
  entries: T[];
}

/** Sorted by what was chosen, stably: what is alike stays in the order given. What has no such thing comes last, either way round. */
export function sortBy<T extends Arrangeable>(entries: readonly T[], sorting: Sorting, rows: Rows, isDescending = false): T[] {
  if (sorting === 'usual') return [...entries];
  const keyOf = isFieldKey(sorting) ? sortingByField(sorting, rows) : SORT_KEYS[sorting];
  const keyed = entries.map((entry) => ({ entry, key: keyOf(entry, rows) }));
  const way = isDescending ? -1 : 1;
  return keyed.sort((a, b) => compareKeys(a.key, b.key) * (a.key === null || b.key === null ? 1 : way)).map(({ entry }) => entry);
}

/** Words are compared as people read them, codes (days, hours, own order) by their characters. */
type SortKey = { words: string } | { code: string } | number | null;

const SORT_KEYS: Record<Exclude<Sorting, 'usual' | FieldKey>, (entry: Arrangeable, rows: Rows) => SortKey> = {
  // a day without an hour comes after the hours of that day
  due: ({ item }) => atTheEnd(item.due),
  plan: ({ part }) => atTheEnd(part?.plan ?? null),
  title: ({ item }) => ({ words: item.title }),
  tag: ({ item }, rows) => inWords(namesOfTags(item, rows)[0]),
  importance: ({ item }) => (item.importance === 0 ? null : -item.importance),
  person: ({ item }, rows) => inWords(namesOfHolders(item, rows)[0]),
  list: ({ item }, rows) => (item.listId === null ? null : HEADING_RANKS.list(item.listId, rows)),
  start: ({ item }) => (item.start === null ? null : { code: item.start }),
  minutes: ({ item }) => item.effort,
  made: ({ item }) => ({ code: item.createdAt }),
};

const atTheEnd = (moment: string | null): SortKey => (moment === null ? null : { code: moment.length === 10 ? `${moment}T24:00` : moment });
const inWords = (words: string | undefined): SortKey => (words === undefined ? null : { words });

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });

function compareKeys(a: SortKey, b: SortKey): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  if (typeof a === 'number' || typeof b === 'number') return Number(a) - Number(b);
  if ('words' in a && 'words' in b) return collator.compare(a.words, b.words);
  const [one, other] = [codeOf(a), codeOf(b)];
  return one < other ? -1 : one > other ? 1 : 0;
}

const codeOf = (key: { words: string } | { code: string }): string => ('code' in key ? key.code : key.words);

const tagsOf = (item: Item, rows: Rows): Tag[] =>
  item.tagIds.map((id) => rows.find('tag', id)).filter((tag): tag is Tag => tag !== undefined && !tag.removedAt);

const namesOfTags = (item: Item, rows: Rows): string[] =>
  tagsOf(item, rows)
    .map((tag) => tag.name)
    .sort(collator.compare);

const namesOfHolders = (item: Item, rows: Rows): string[] =>
  holdersOf(item, rows)
    .map((id) => rows.find('person', id))
    .flatMap((person) => (person === undefined ? [] : person.name))
    .sort(collator.compare);

/** Whoever has it to do, or did it. */
const holdersOf = (item: Item, rows: Rows): string[] => countingParts(rows.by('part', 'itemId', item.id)).flatMap((part) => part.personId ?? []);

/**
 * Put under headings, each in the order given. By person and by tag, what belongs to several stands under each of them.
 * Dates come in their order, lists in theirs, people and tags by name; what has none of it comes last.
 */
export function groupBy<T extends Arrangeable>(entries: readonly T[], grouping: Group<T>['by'], rows: Rows): Group<T>[] {
  const [keysOf, rankOf] = isFieldKey(grouping) ? groupingByField(grouping, rows) : [GROUP_KEYS[grouping], HEADING_RANKS[grouping]];
  const groups = new Map<string | null, T[]>();
  for (const entry of entries) {
    const keys = keysOf(entry, rows);
    for (const key of keys.length > 0 ? keys : [null]) {
      const known = groups.get(key);
      if (known) known.push(entry);
      else groups.set(key, [entry]);
    }
  }
  const ranked = [...groups].map(([key, found]) => ({ key, entries: found, rank: key === null ? null : rankOf(key, rows) }));
  return ranked.sort((a, b) => compareKeys(a.rank, b.rank)).map(({ key, entries: found }) => ({ by: grouping, key, entries: found }));
}

const GROUP_KEYS: Record<Exclude<Group<unknown>['by'], FieldKey>, (entry: Arrangeable, rows: Rows) => string[]> = {
  date: ({ item, part }) => {
    const day = nextDay(item, { plan: part?.plan ?? null });
    return day === null ? [] : [day];
  },
  list: ({ item }) => (item.listId === null ? [] : [item.listId]),
  person: ({ item }, rows) => holdersOf(item, rows),
  tag: ({ item }, rows) => tagsOf(item, rows).map((tag) => tag.id),
  stage: ({ item }, rows) => {
    const list = item.listId === null ? undefined : rows.find('list', item.listId);
    const stage = list === undefined ? null : stageOf(item, list, rows.by('part', 'itemId', item.id));
    return stage ? [stage.id] : [];
  },
};

const HEADING_RANKS: Record<Exclude<Group<unknown>['by'], FieldKey>, (key: string, rows: Rows) => SortKey> = {
  date: (date) => ({ code: date }),
  list: (id, rows) => named(rows.find('list', id), (list) => ({ code: `${list.position} ${list.id}` })),
  person: (id, rows) => named(rows.find('person', id), ({ name }) => ({ words: name })),
  tag: (id, rows) => named(rows.find('tag', id), ({ name }) => ({ words: name })),
  // list by list, in the order of each
  stage: (id, rows) => {
    const list = rows.all('list').find((one) => stagesOf(one).some((stage) => stage.id === id));
    return list ? { code: `${list.position} ${list.id} ${String(stagesOf(list).findIndex((stage) => stage.id === id)).padStart(2, '0')}` } : null;
  },
};

type KeyOf<K> = (entry: Arrangeable, rows: Rows) => K;

/** By what items say in a field; a field that is gone says nothing. */
function sortingByField(key: FieldKey, rows: Rows): KeyOf<SortKey> {
  const field = rows.find('ownField', fieldOfKey(key));
  if (field === undefined) return () => null;
  return ({ item }) => {
    const value = valueIn(item, field, rows);
    return value === null ? null : rankOfValue(value, field, rows);
  };
}

function rankOfValue(value: string | number | boolean, { kind, options }: OwnField, rows: Rows): SortKey {
  switch (kind) {
    case 'number':
      return Number(value);
    case 'tick':
      return 0;
    // in the order the choices have
    case 'choice':
      return options.findIndex(({ id }) => id === value);
    case 'person':
      return named(rows.find('person', String(value)), ({ name }) => ({ words: name }));
    case 'date':
      return { code: String(value) };
    default:
      return { words: String(value) };
  }
}

function groupingByField(key: FieldKey, rows: Rows): [keysOf: KeyOf<string[]>, rankOf: (key: string) => SortKey] {
  const field = rows.find('ownField', fieldOfKey(key));
  if (field === undefined) return [() => [], () => null];
  const keysOf: KeyOf<string[]> = ({ item }) => {
    const value = valueIn(item, field, rows);
    return value === null ? [] : [String(value)];
  };
  return [keysOf, (value) => rankOfValue(value, field, rows)];
}

const named = <R extends object>(row: R | undefined, rank: (row: R) => SortKey): SortKey => (row === undefined ? null : rank(row));
