import { above, NOUNS, withBelow, type Change, type Item, type Noun, type Part, type Person, type Reader, type Row } from '@kotiva/core';
import { RESET, type Sighted } from '../houses/house-storage.ts';
import { Visibility } from './visibility.ts';

/**
 * The rows whose readers a command may change without changing the rows themselves: by sharing, handing over, moving or a new role.
 * Most commands reach nothing.
 */
/** Who reads them follows from themselves alone. */
const SINGLES = ['matter', 'meetingNote', 'place', 'errandRound', 'savedView', 'template', 'project'] as const;
type Single = (typeof SINGLES)[number];
const isSingle = (noun: Noun): noun is Single => (SINGLES as readonly Noun[]).includes(noun);

export interface VisibilityScope {
  lists: Set<string>;
  items: Set<string>;
  series: Set<string>;
  /** Agenda lines, notes, places and kept views that are shared or no longer. */
  singles: Set<`${Single}:${string}`>;
  /** Fields, and the items that begin or cease to say something in them: whoever sees none of these is not concerned. */
  fields: Map<string, Set<string>>;
  /** Tags that items carry now, or did. */
  tags: Set<string>;
  /** Whose rights are touched; null: anybody's. */
  people: Set<string> | null;
  everything: boolean;
}

const TOUCHING: { [N in Noun]?: readonly string[] } = {
  share: ['access'],
  list: ['ownerId', 'bundleId'],
  item: ['listId', 'parentId', 'makerId', 'tagIds', 'purgedAt'],
  series: ['personIds', 'listId'],
  part: ['takenBackAt', 'giverId', 'originId', 'givenAt'],
  person: ['role', 'endedAt'],
  matter: ['shared'],
  meetingNote: ['shared', 'personIds'],
  place: ['seenBy'],
  errandRound: ['personId'],
  savedView: ['isShared'],
  template: ['isShared'],
  project: ['answerableId'],
  membership: ['endedAt'],
  // who sees what says something in it reads what it is called
  fieldValue: ['value'],
  timeAway: ['standInId', 'removedAt'],
  guest: ['endedAt'],
};

export function visibilityScopeOf(changes: readonly Change[], reader: Reader): VisibilityScope {
  const reach: VisibilityScope = {
    lists: new Set(),
    items: new Set(),
    series: new Set(),
    singles: new Set(),
    fields: new Map(),
    tags: new Set(),
    people: new Set(),
    everything: false,
  };
  const madeItems = new Set(changes.filter(({ noun, made }) => noun === 'item' && made).map(({ id }) => id));
  // all that is in a new list is new itself, but for the bundle it may stand in
  const madeLists = new Set(
    changes.filter(({ noun, made, fields }) => noun === 'list' && made && !(fields as Partial<Row<'list'>>).bundleId).map(({ id }) => id),
  );
  for (const change of changes) {
    const { noun, id, made, fields } = change;
    if (!TOUCHING[noun]?.some((field) => field in fields)) continue;
    touchPeople(reach, change, reader);
    // who comes new has seen nothing before: their devices begin at the beginning
    if (noun === 'person') reach.everything ||= !made;
    if (noun === 'membership') {
      const held = made ? (fields as Partial<Row<'membership'>>) : reader.find('membership', id);
      if (held !== undefined && held.projectId) reach.singles.add(`project:${held.projectId}`);
    }
    if (noun === 'fieldValue') reachOfValue(reach, id, made, fields as Partial<Row<'fieldValue'>>, reader);
    if (isSingle(noun) && !made) reach.singles.add(`${noun}:${id}`);
    if (noun === 'series' && !made) reach.series.add(id);
    if (noun === 'list' && !madeLists.has(id)) reach.lists.add(id);
    if (noun === 'share') {
      const listId = listOf(id, fields as Partial<Row<'share'>>, reader);
      if (!madeLists.has(listId)) reach.lists.add(listId);
    }
    if (noun === 'item') reachOfItem(reach, id, made, fields, reader);
    if (noun === 'timeAway') reachOfStandIn(reach, id, fields as Partial<Row<'timeAway'>>, reader);
    if (noun === 'part' || noun === 'guest') {
      const itemId = made ? (fields as Partial<Part>).itemId! : itemOf(noun, id, reader);
      if (!madeItems.has(itemId)) reach.items.add(itemId);
    }
  }
  return reach;
}

/** A handover touches who has it, had it or gave it; a sharing who it is with, and managers, who see what is shared with anybody. */
function touchPeople(reach: VisibilityScope, { noun, id, made, fields }: Change, reader: Reader): void {
  if (reach.people === null) return;
  // a new item changes nobody's rights; its tags may come into anybody's sight
  if (noun === 'item' && made && (fields as Partial<Item>).tagIds!.length === 0) return;
  if (!['part', 'share', 'timeAway', 'guest'].includes(noun)) return void (reach.people = null);
  for (const row of [fields, reader.find(noun, id) ?? {}] as Record<string, unknown>[])
    for (const field of ['personId', 'giverId', 'originId', 'standInId']) if (typeof row[field] === 'string') reach.people.add(row[field]);
  if (noun === 'share') for (const person of reader.all('person')) if (person.role === 'manager') reach.people.add(person.id);
}

/** The tags it carries, and where it moves itself it and what lies under it. A new one is seen by whoever sees its place. */
function reachOfItem(reach: VisibilityScope, id: string, made: boolean, fields: Change['fields'], reader: Reader): void {
  const { tagIds, ...others } = fields as Partial<Item>;
  const held = made ? undefined : reader.find('item', id);
  for (const tagId of [...(tagIds ?? []), ...(tagIds && held !== undefined ? held.tagIds : [])]) reach.tags.add(tagId);
  if (!made && TOUCHING.item!.some((field) => field in others)) reach.items.add(id);
}

/** Whoever sees an item reads what the fields are called that it says something in; what is said instead of something else changes nothing. */
function reachOfValue(reach: VisibilityScope, id: string, made: boolean, fields: Partial<Row<'fieldValue'>>, reader: Reader): void {
  const held = made ? undefined : reader.find('fieldValue', id);
  const before = held?.value ?? null;
  const { fieldId, itemId } = held === undefined ? fields : held;
  if (!fieldId || !itemId || (before === null) === (fields.value == null)) return;
  reach.fields.set(fieldId, (reach.fields.get(fieldId) ?? new Set()).add(itemId));
}

/** Who stands in for somebody sees what they gave; without anybody named nothing is reached. */
function reachOfStandIn(reach: VisibilityScope, id: string, fields: Partial<Row<'timeAway'>>, reader: Reader): void {
  const held = reader.find('timeAway', id);
  const rows = [fields, ...(held === undefined ? [] : [held])];
  const personId = rows.find((row) => row.personId)?.personId;
  if (!rows.some(({ standInId }) => standInId)) return;
  if (!personId) return;
  for (const index of ['giverId', 'originId'] as const)
    for (const part of reader.by('part', index, personId)) if (part.takenBackAt === null) reach.items.add(part.itemId);
}

const listOf = (id: string, fields: Partial<Row<'share'>>, reader: Reader): string => {
  if (fields.listId) return fields.listId;
  const share = reader.find('share', id);
  return share === undefined ? '' : share.listId;
};
const itemOf = (noun: 'part' | 'guest', id: string, reader: Reader): string => {
  const part = reader.find(noun, id);
  return part === undefined ? '' : part.itemId;
};

export const isScopeEmpty = ({ lists, items, series, singles, fields, tags, everything }: VisibilityScope): boolean =>
  !everything && [lists, items, series, singles, fields, tags].every(({ size }) => size === 0);

/** Rows looked at for everybody concerned; beyond, their devices are told to begin anew. */
const MOST_COMPARED = 1_500;

/** Whether comparing for so many people would take too long. Counts no further than it has to. */
export function isScopeLarge(reach: VisibilityScope, reader: Reader, people: number): boolean {
  if (isScopeEmpty(reach)) return false;
  let many = 0;
  const rows = rowsInReach(reach, reader);
  while (many <= MOST_COMPARED && !rows.next().done) many += people;
  return many > MOST_COMPARED;
}

/** Rows of a cluster are looked at for so many readers at most; beyond, their devices begin anew. */
const MOST_SIGHTED = 20_000;

/** All of the clusters some items belong to, for whoever sees them: their devices may hold nothing of it. */
export function sightsOf(itemIds: readonly string[], reader: Reader, people: readonly Person[]): Sighted[] {
  const rows = [...rowsOfClusters(itemIds, reader)];
  if (rows.length * people.length > MOST_SIGHTED) return people.map(({ id }) => ({ personId: id, noun: RESET, rowId: RESET }));
  return people.flatMap((person) => {
    const sight = new Visibility(reader, person);
    return rows.flatMap(([noun, row]) => (sight.sees(noun, row) ? [{ personId: person.id, noun, rowId: row.id }] : []));
  });
}

/** The rows of the clusters some items belong to: what stands above and below them, and what names one of these. */
export function* rowsOfClusters(itemIds: readonly string[], reader: Reader): Generator<readonly [Noun, Row]> {
  const items = new Set<string>();
  for (const itemId of itemIds) withBelow(topOf(itemId, reader), reader, items);
  for (const itemId of items) yield* rowsOfItem(itemId, reader);
}

function topOf(itemId: string, reader: Reader): string {
  const item = reader.find('item', itemId);
  let top = itemId;
  if (item !== undefined) for (const { id } of above(item, reader)) top = id;
  return top;
}

type Key = `${Noun}:${string}`;

/** What each person sees of the rows in reach: compared before and after a command. */
export function seenInScope(reach: VisibilityScope, reader: Reader, people: readonly Person[]): Map<string, Set<Key>> {
  const rows = [...rowsInReach(reach, reader)];
  return new Map(
    people.map((person) => {
      const sight = new Visibility(reader, person);
      const seen = rows.filter(([noun, row]) => sight.sees(noun, row)).map(([noun, row]): Key => `${noun}:${row.id}`);
      return [person.id, new Set([...seen, ...fieldsSeen(reach, sight, reader)])];
    }),
  );
}

/** Of the fields in reach, those somebody sees; who sees no item that is concerned isn’t asked about. */
function* fieldsSeen({ fields }: VisibilityScope, sight: Visibility, reader: Reader): Generator<Key> {
  for (const [fieldId, itemIds] of fields) {
    const field = reader.find('ownField', fieldId);
    if (field === undefined) continue;
    if ([...itemIds].some((itemId) => sight.seesItem(itemId)) && sight.sees('ownField', field)) yield `ownField:${fieldId}`;
  }
}

export function* differences(before: Map<string, Set<Key>>, after: Map<string, Set<Key>>): Generator<{ personId: string; noun: Noun; rowId: string }> {
  for (const [personId, now] of after) {
    const then = before.get(personId) ?? new Set();
    for (const key of now) if (!then.has(key)) yield split(personId, key);
    for (const key of then) if (!now.has(key)) yield split(personId, key);
  }
}

const split = (personId: string, key: Key) => {
  const at = key.indexOf(':');
  return { personId, noun: key.slice(0, at) as Noun, rowId: key.slice(at + 1) };
};

function* rowsInReach(reach: VisibilityScope, reader: Reader): Generator<readonly [Noun, Row]> {
  if (reach.everything) {
    for (const noun of NOUNS) for (const row of reader.all(noun)) yield [noun, row];
    return;
  }
  for (const key of reach.singles) {
    const [noun, id] = key.split(':') as [Single, string];
    const row = reader.find(noun, id);
    if (row !== undefined) yield [noun, row];
    if (noun === 'template') yield* rowsOfTemplate(id, reader);
    if (noun === 'project' || noun === 'meetingNote') yield* filesOf(id, reader);
    if (noun === 'project') for (const one of reader.by('membership', 'projectId', id)) yield ['membership', one];
    if (noun === 'meetingNote') for (const one of reader.all('membership')) if (one.noteId === id) yield* rowsOfMembership(one, reader);
  }
  for (const tagId of reach.tags) {
    const tag = reader.find('tag', tagId);
    if (tag !== undefined) yield ['tag', tag];
  }
  const items = new Set<string>();
  const series = new Set(reach.series);
  for (const listId of reach.lists) {
    yield* rowsOfList(listId, reader);
    for (const chore of reader.by('series', 'listId', listId)) series.add(chore.id);
    for (const item of reader.by('item', 'listId', listId)) items.add(item.id);
  }
  for (const seriesId of series) yield* rowsOfSeries(seriesId, reader);
  for (const itemId of reach.items) withBelow(itemId, reader, items);
  for (const itemId of items) yield* rowsOfItem(itemId, reader);
}

function* rowsOfList(listId: string, reader: Reader): Generator<readonly [Noun, Row]> {
  const list = reader.find('list', listId);
  if (list === undefined) return;
  yield ['list', list];
  for (const section of reader.by('section', 'listId', listId)) yield ['section', section];
  for (const share of reader.by('share', 'listId', listId)) yield ['share', share];
  for (const watch of reader.by('listWatch', 'listId', listId)) yield ['listWatch', watch];
  for (const bundle of reader.all('bundle')) yield ['bundle', bundle];
  for (const field of reader.by('ownField', 'listId', listId)) yield ['ownField', field];
  for (const one of reader.by('membership', 'listId', listId)) yield* rowsOfMembership(one, reader);
  for (const entry of reader.by('activity', 'listId', listId)) yield ['activity', entry];
}

/** Something that comes into sight brings the project it belongs to, and how. */
function* rowsOfMembership(membership: Row<'membership'>, reader: Reader): Generator<readonly [Noun, Row]> {
  yield ['membership', membership];
  const project = reader.find('project', membership.projectId);
  if (project === undefined) return;
  yield ['project', project];
  yield* filesOf(project.id, reader);
}

function* filesOf(hostId: string, reader: Reader): Generator<readonly [Noun, Row]> {
  for (const file of reader.by('attachment', 'itemId', hostId)) yield ['attachment', file];
}

/** What an item says in a field brings what the field is called. */
function* rowsOfValue(value: Row<'fieldValue'>, reader: Reader): Generator<readonly [Noun, Row]> {
  yield ['fieldValue', value];
  const field = reader.find('ownField', value.fieldId);
  if (field !== undefined) yield ['ownField', field];
}

function* rowsOfTemplate(templateId: string, reader: Reader): Generator<readonly [Noun, Row]> {
  for (const item of reader.by('templateItem', 'templateId', templateId)) {
    yield ['templateItem', item];
    yield* filesOf(item.id, reader);
  }
}

function* rowsOfSeries(seriesId: string, reader: Reader): Generator<readonly [Noun, Row]> {
  const series = reader.find('series', seriesId);
  if (series === undefined) return;
  yield ['series', series];
  for (const override of reader.by('override', 'seriesId', seriesId)) yield ['override', override];
}

function* rowsOfItem(itemId: string, reader: Reader): Generator<readonly [Noun, Row]> {
  const item = reader.find('item', itemId);
  if (item === undefined) return;
  yield ['item', item];
  for (const tagId of item.tagIds) {
    const tag = reader.find('tag', tagId);
    if (tag !== undefined) yield ['tag', tag];
  }
  for (const value of reader.by('fieldValue', 'itemId', itemId)) yield* rowsOfValue(value, reader);
  for (const one of reader.by('membership', 'itemId', itemId)) yield* rowsOfMembership(one, reader);
  for (const noun of ['part', 'alarm', 'wait', 'comment', 'attachment', 'guest', 'watch', 'activity'] as const)
    for (const row of reader.by(noun, 'itemId', itemId)) yield [noun, row];
}
