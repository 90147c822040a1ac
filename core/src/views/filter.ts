import type { Rows } from '../reader/finding.ts';
import { valueIn } from '../followup/fields.ts';
import type { OwnField } from '../model/own-field.ts';
import { counts, countingParts, doneSince, isDone } from '../followup/standing.ts';
import type { FieldAsk, FilterCondition, DateField, Filter, Having, NamedNoun, Span } from '../model/filter.ts';
import { namedBy } from '../model/filter.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { nextDay, partFor } from '../planning/whereabouts.ts';
import type { Arrangeable } from '../planning/arrange.ts';
import type { PlanView } from '../planning/rows.ts';
import { addDays, calendarDateOf, weekdayOf } from '../time/clock.ts';
import { itemHasTerms } from './find.ts';
import { withBelowTags } from './tags-below.ts';
import { lastTouched } from './last-touched.ts';
import { hasTerms, termsOf, wordsIn } from './terms.ts';

/** An item with what it takes to judge it. */
interface Judged {
  item: Item;
  parts: readonly Part[];
  isDone: boolean;
}
/** Null: nobody said, so that neither it nor its opposite holds. */
type Test = (judged: Judged) => boolean | null;

/**
 * Items that meet a filter, for whoever looks, in the order of the rows: `part` is the looking person's own, or nobody's. Steps stand by
 * themselves only where they have a person or a day of their own. Nothing from archived and removed lists; what is to be looked up only where
 * its list is named.
 */
export function filtered(filter: Filter, view: PlanView, rows: Rows): Arrangeable[] {
  const judge = judging(filter, view, rows);
  const found: Arrangeable[] = [];
  for (const item of rows.all('item')) {
    const one = judge(item);
    if (one) found.push(one);
  }
  return found;
}

/** The same of one item after the other; null: it is not among them. */
export function judging(filter: Filter, view: PlanView, rows: Rows): (item: Item) => Arrangeable | null {
  const judge = judgingAlone(filter, view, rows);
  if (!judge) return () => null;
  const namesLists = liveConditions(filter, rows).conditions.some(
    ({ of, not }) => (of === 'list' || of === 'section' || of === 'bundle' || of === 'project') && !not,
  );
  const closed = closedLists(rows, namesLists);
  return (item) => {
    if (item.removedAt !== null || item.purgedAt !== null || (item.listId !== null && closed.has(item.listId))) return null;
    const judged = judge(item);
    if (!judged) return null;
    const part = partFor(item, judged.parts, view.personId, rows);
    return item.parentId === null || standsAlone(item, judged.parts, part) ? { item, part } : null;
  };
}

/** Whether an item that a view shows anyway meets a filter, whatever it lies in: for narrowing a view that has its own rule. */
export function meeting(filter: Filter, view: PlanView, rows: Rows): (item: Item) => boolean {
  const judge = judgingAlone(filter, view, rows);
  return (item) => judge !== null && judge(item) !== null;
}

/** The same of one that isn't there yet, with the parts it will have. */
export function meetingOnceThere(filter: Filter, view: PlanView, rows: Rows): (item: Item, parts: readonly Part[]) => boolean {
  const judge = judgingAlone(filter, view, rows);
  return (item, parts) => judge !== null && judge(item, parts) !== null;
}

/** Judges items by the conditions and nothing else; null where none of what the filter names is there any more. */
function judgingAlone(filter: Filter, view: PlanView, rows: Rows): ((item: Item, parts?: readonly Part[]) => Judged | null) | null {
  const { conditions } = liveConditions(filter, rows);
  if (conditions.length === 0 && filter.conditions.length > 0) return null;
  // what an item says itself is asked first: most are told apart by it, without looking anything up
  const all = conditions.map((condition) => ({ test: turned(testOf(condition, view, rows), condition.not), isQuick: QUICK.has(quickKey(condition)) }));
  const isEach = filter.match === 'all';
  const first = isEach ? all.filter(({ isQuick }) => isQuick).map(({ test }) => test) : [];
  const then = (isEach ? all.filter(({ isQuick }) => !isQuick) : all).map(({ test }) => test);
  return (item, parts) => {
    const judged: Judged = { item, parts: NO_PARTS, isDone: false };
    for (const test of first) if (!test(judged)) return null;
    judged.parts = parts ?? rows.by('part', 'itemId', item.id);
    judged.isDone = isDone(item, judged.parts);
    if (filter.state !== 'both' && judged.isDone !== (filter.state === 'done')) return null;
    const isMet = isEach ? then.every((test) => test(judged)) : then.length === 0 || then.some((test) => test(judged));
    return isMet ? judged : null;
  };
}

const NO_PARTS: readonly Part[] = [];
/** Conditions that are told from the item alone. */
const QUICK = new Set(['list', 'project', 'section', 'bundle', 'tag', 'place', 'situation', 'importance', 'effort', 'energy', 'dayPart', 'words', 'date due', 'date start', 'date made']); // prettier-ignore
const quickKey = (condition: FilterCondition): string => (condition.of === 'date' ? `date ${condition.field}` : condition.of);

/** A filter without what it names that is gone; `gone` are the conditions that are left out, because nothing of what they name is there. */
export function liveConditions(filter: Filter, rows: Pick<Rows, 'find'>): { conditions: FilterCondition[]; gone: FilterCondition[] } {
  const conditions: FilterCondition[] = [];
  const gone: FilterCondition[] = [];
  for (const condition of filter.conditions) {
    const left = withoutGone(condition, rows);
    if (left) conditions.push(left);
    else gone.push(condition);
  }
  return { conditions, gone };
}

function withoutGone(condition: FilterCondition, rows: Pick<Rows, 'find'>): FilterCondition | null {
  const named = namedBy(condition);
  if (!named) return condition;
  const here = (id: string) => isThere(named.noun, id, rows);
  if ('ids' in condition) {
    const ids = condition.ids.filter(here);
    return ids.length === 0 ? null : { ...condition, ids };
  }
  if (!('who' in condition)) return condition;
  const who = condition.who.filter((one) => one === 'me' || one === 'nobody' || here(one));
  return who.length === 0 ? null : { ...condition, who };
}

/** People who have left are still named: what was theirs is found by them. */
function isThere(noun: NamedNoun, id: string, rows: Pick<Rows, 'find'>): boolean {
  const row = rows.find(noun, id);
  return row !== undefined && (row as { removedAt?: string | null }).removedAt == null;
}

const turned = (test: Test, not: boolean): ((judged: Judged) => boolean) => (not ? (judged) => test(judged) === false : (judged) => test(judged) === true);

function testOf(condition: FilterCondition, view: PlanView, rows: Rows): Test {
  switch (condition.of) {
    case 'list':
      return within(condition.ids, ({ item }) => item.listId);
    case 'section':
      return within(condition.ids, ({ item }) => item.sectionId);
    case 'bundle':
      return within(
        condition.ids.flatMap((id) => rows.by('list', 'bundleId', id).map((list) => list.id)),
        ({ item }) => item.listId,
      );
    case 'project':
      return belongsTo(condition.ids, rows);
    case 'place':
      return within(condition.ids, ({ item }) => item.placeId);
    case 'tag':
      return among(withBelowTags(condition.ids, rows), ({ item }) => item.tagIds);
    case 'situation':
      return among(new Set(condition.ids), ({ item }) => item.situationIds);
    case 'person':
      return isHeldBy(peopleOf(condition.who, view));
    case 'giver':
      return among(peopleOf(condition.who, view), givers);
    case 'date':
      return dateTest(condition.field, condition.span, view, rows);
    case 'importance':
      return ({ item }) => item.importance >= condition.least;
    case 'effort':
      return ({ item }) => (condition.most === null ? item.effort === null : item.effort === null ? null : item.effort <= condition.most);
    case 'energy':
      return ({ item }) => (item.energy === null ? null : condition.levels.includes(item.energy));
    case 'dayPart':
      return ({ item }) => (item.dayPart === null ? null : condition.parts.includes(item.dayPart));
    case 'has':
      return HAS[condition.what](view, rows);
    case 'field':
      return fieldTest(condition.field, condition.asks, view, rows);
    case 'words':
      return wordsTest(condition.words);
  }
}

const within = (ids: readonly string[], of: (judged: Judged) => string | null): Test => {
  const wanted = new Set(ids);
  return (judged) => wanted.has(of(judged) ?? '');
};

/** Itself, by its list, or as a step of what does. */
function belongsTo(projectIds: readonly string[], rows: Rows): Test {
  const members = new Set<string>();
  for (const projectId of projectIds)
    for (const { listId, itemId, endedAt } of rows.by('membership', 'projectId', projectId)) if (endedAt === null) members.add(listId ?? itemId ?? '');
  return ({ item }) => members.has(item.id) || (item.listId !== null && members.has(item.listId)) || (item.parentId !== null && members.has(item.parentId));
}

const among =
  (wanted: ReadonlySet<string>, of: (judged: Judged) => readonly string[]): Test =>
  (judged) =>
    of(judged).some((one) => wanted.has(one));

const NOBODY = 'nobody';
const peopleOf = (who: readonly string[], { personId }: PlanView): Set<string> => new Set(who.map((one) => (one === 'me' ? personId : one)));

/** Who still has it; of what is done, whoever had a part in it. What lies in an own pile and was given to nobody is its maker's. */
function isHeldBy(wanted: ReadonlySet<string>): Test {
  return ({ item, parts, isDone: done }) => {
    let isSomebodys = false;
    for (const part of parts) {
      if (part.personId === null || !counts(part) || (!done && part.standing === 'completed')) continue;
      if (wanted.has(part.personId)) return true;
      isSomebodys = true;
    }
    return !isSomebodys && wanted.has(item.listId === null && item.parentId === null ? item.makerId : NOBODY);
  };
}

const givers = ({ parts }: Judged): string[] => countingParts(parts).flatMap(({ giverId, originId }) => [giverId, originId].filter((id) => id !== null));

function dateTest(field: DateField, span: Span, view: PlanView, rows: Rows): Test {
  const dayOf = DAYS[field](view, rows);
  if (span.kind === 'none') return (judged) => dayOf(judged) === null;
  if (span.kind === 'any') return (judged) => dayOf(judged) !== null;
  const [from, to] = daysOfSpan(span, calendarDateOf(view.now, view.house.zone));
  // after all hours of the last day
  const end = `${to}T~`;
  return (judged) => {
    const day = dayOf(judged);
    // what has no day is in no span, and not outside of one either
    return day === null ? null : day >= from && day <= end;
  };
}

const DAYS: Record<DateField, (view: PlanView, rows: Rows) => (judged: Judged) => string | null> = {
  due:
    () =>
    ({ item }) =>
      item.due,
  start:
    () =>
    ({ item }) =>
      item.start,
  plan:
    ({ personId }, rows) =>
    ({ item, parts }) =>
      partFor(item, parts, personId, rows)?.plan ?? null,
  made:
    ({ house }) =>
    ({ item }) =>
      calendarDateOf(item.createdAt, house.zone),
  done:
    ({ house }) =>
    ({ item, parts }) => {
      const at = doneSince(item, parts);
      return at === null ? null : calendarDateOf(at, house.zone);
    },
  touched:
    ({ house }, rows) =>
    ({ item }) =>
      calendarDateOf(lastTouched(item, rows), house.zone),
};

const FIRST = '0000-01-01';
const LAST = '9999-12-31';

/** The first and the last calendar day of a span; a fixed one that was given the wrong way round is turned. */
export function daysOfSpan(span: Exclude<Span, { kind: 'none' | 'any' }>, today: string): [from: string, to: string] {
  switch (span.kind) {
    case 'past':
      return [FIRST, addDays(today, -1)];
    case 'next':
      return [today, addDays(today, span.days)];
    case 'last':
      return [addDays(today, -span.days), today];
    case 'week': {
      const monday = addDays(today, 1 - weekdayOf(today) + 7 * span.weeks);
      return [monday, addDays(monday, 6)];
    }
    case 'between':
      return span.from <= span.to ? [span.from, span.to] : [span.to, span.from];
  }
}

/** A moment no span reaches. For who draws an axis. */
export const SPAN_ENDS = [FIRST, LAST] as const;

const HAS: Record<Having, (view: PlanView, rows: Rows) => Test> = {
  steps:
    (_, rows) =>
    ({ item }) =>
      rows.by('item', 'parentId', item.id).some(({ removedAt }) => removedAt === null),
  notes:
    () =>
    ({ item }) =>
      item.notes.trim() !== '',
  files:
    (_, rows) =>
    ({ item }) =>
      rows.by('attachment', 'itemId', item.id).some(({ removedAt }) => removedAt === null),
  comments:
    (_, rows) =>
    ({ item }) =>
      rows.by('comment', 'itemId', item.id).some(({ removedAt }) => removedAt === null),
  reminder:
    ({ personId }, rows) =>
    ({ item }) =>
      rows.by('alarm', 'itemId', item.id).some((alarm) => alarm.personId === personId && alarm.removedAt === null),
  repeat:
    () =>
    ({ item }) =>
      item.seriesId !== null,
  talk:
    () =>
    ({ item }) =>
      (item.noteId ?? null) !== null,
  waits:
    (_, rows) =>
    ({ item }) =>
      rows.by('wait', 'itemId', item.id).some(({ endedAt }) => endedAt === null),
};

/** What an item says in a field: nothing said is not outside of anything either, except of having something there. */
function fieldTest(fieldId: string, asks: FieldAsk, view: PlanView, rows: Rows): Test {
  const field = rows.find('ownField', fieldId);
  if (field === undefined) return () => null;
  const test = valueTest(asks, field, view);
  return ({ item }) => {
    const value = valueIn(item, field, rows as Rows);
    return asks.kind === 'any' ? value !== null : value === null ? null : test(value);
  };
}

function valueTest(asks: FieldAsk, { kind }: OwnField, view: PlanView): (value: string | number | boolean) => boolean | null {
  switch (asks.kind) {
    case 'any':
      return () => true;
    case 'words': {
      const terms = termsOf(asks.words);
      return (value) => hasTerms(wordsIn(String(value)), terms);
    }
    case 'number':
      return (value) => (typeof value === 'number' ? (asks.least === null || value >= asks.least) && (asks.most === null || value <= asks.most) : null);
    case 'among':
      return (value) => asks.ids.includes(String(value));
    case 'span': {
      if (asks.span.kind === 'none' || asks.span.kind === 'any' || kind !== 'date') return () => null;
      const [from, to] = daysOfSpan(asks.span, calendarDateOf(view.now, view.house.zone));
      return (value) => String(value) >= from && String(value) <= to;
    }
  }
}

function wordsTest(typed: string): Test {
  const terms = termsOf(typed);
  return ({ item }) => itemHasTerms(item, terms);
}

/** A step with a person or a day of its own. */
const standsAlone = (item: Item, parts: readonly Part[], part: Part | null): boolean =>
  parts.some((one) => one.personId !== null && one.takenBackAt === null) || item.due !== null || (part !== null && nextDay(item, part) !== null);

function closedLists(rows: Rows, withReference: boolean): Set<string> {
  const closed = rows.all('list').filter((list) => list.removedAt !== null || list.filedAt !== null || (list.kind === 'reference' && !withReference));
  return new Set(closed.map(({ id }) => id));
}
