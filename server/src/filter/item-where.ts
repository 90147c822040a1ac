import type { House, Rows } from '@kotiva/core';
import { daysOfSpan, liveConditions, type Filter, type FilterCondition, type Span } from '@kotiva/core/filtering';
import { addDays, calendarDateOf } from '@kotiva/core/time/clock';
import { withBelowTags } from '@kotiva/core/views/tags-below';
import { and, eq, exists, gte, inArray, isNotNull, isNull, lt, lte, notInArray, or, sql, type AnyColumn, type SQL } from 'drizzle-orm';
import { SQLiteSyncDialect } from 'drizzle-orm/sqlite-core';
import { item, part } from '../db/schema.ts';

export interface ItemWhere {
  /** With `?` for each of the values. */
  sql: string;
  params: unknown[];
}

interface Asking {
  personId: string;
  today: string;
  houseId: string;
  rows: Rows;
}

const dialect = new SQLiteSyncDialect();

/**
 * What a filter says of an item that the database can tell by itself: every item that meets the filter meets this, and most of the others
 * don’t. The filter’s own rule then judges what is left. `view`: whoever looks, and when, a UTC instant.
 */
export function itemWhere(filter: Filter, view: { personId: string; now: string; house: House }, rows: Rows): ItemWhere {
  const asking = { personId: view.personId, today: calendarDateOf(view.now, view.house.zone), houseId: view.house.id, rows };
  const { conditions } = liveConditions(filter, rows);
  const told = conditions.map((condition) => tellingOf(condition, asking));
  const all = filter.match === 'all' ? and(...told) : told.every((one) => one !== undefined) ? or(...told) : undefined;
  const done = filter.state === 'done' ? inArray(item.id, sql`(select ${part.itemId} from ${part} where ${and(eq(part.houseId, view.house.id), isNotNull(part.completedAt))})`) : undefined; // prettier-ignore
  return dialect.sqlToQuery(and(isNull(item.removedAt), isNull(item.purgedAt), done, all)!);
}

/** Undefined: the database can’t tell. */
function tellingOf(condition: FilterCondition, asking: Asking): SQL | undefined {
  const { not } = condition;
  switch (condition.of) {
    case 'list':
      return isOneOf(item.listId, condition.ids, not);
    case 'section':
      return isOneOf(item.sectionId, condition.ids, not);
    case 'place':
      return isOneOf(item.placeId, condition.ids, not);
    case 'bundle':
      return isOneOf(item.listId, condition.ids.flatMap((id) => asking.rows.by('list', 'bundleId', id).map((list) => list.id)), not); // prettier-ignore
    case 'tag':
      return holdsOneOf(item.tagIds, [...withBelowTags(condition.ids, asking.rows)], not);
    case 'situation':
      return holdsOneOf(item.situationIds, condition.ids, not);
    case 'importance':
      return not ? lt(item.importance, condition.least) : gte(item.importance, condition.least);
    case 'effort':
      if (condition.most === null) return not ? isNotNull(item.effort) : isNull(item.effort);
      return not ? sql`${item.effort} > ${condition.most}` : lte(item.effort, condition.most);
    case 'energy':
      return isSaidAs(item.energy, condition.levels, not);
    case 'dayPart':
      return isSaidAs(item.dayPart, condition.parts, not);
    case 'date':
      return dateTelling(condition, asking);
    case 'person':
      return not ? undefined : isHeldByOneOf(condition.who, asking);
    case 'giver':
      return not ? undefined : isFromOneOf(condition.who, asking);
    case 'has':
    case 'words':
      return undefined;
  }
}

const isOneOf = (column: AnyColumn, ids: readonly string[], not: boolean): SQL | undefined =>
  not ? or(isNull(column), notInArray(column, [...ids])) : inArray(column, [...ids]);

/** What nobody said is neither it nor its opposite. */
const isSaidAs = (column: AnyColumn, values: readonly string[], not: boolean): SQL | undefined =>
  not ? and(isNotNull(column), notInArray(column, [...values])) : inArray(column, [...values]);

function holdsOneOf(column: AnyColumn, ids: readonly string[], not: boolean): SQL {
  const holds = sql`exists (select 1 from json_each(${column}) where ${inArray(sql`value`, [...ids])})`;
  return not ? sql`not ${holds}` : holds;
}

function dateTelling({ field, span, not }: Extract<FilterCondition, { of: 'date' }>, { today, houseId }: Asking): SQL | undefined {
  if (field === 'due') return dayTelling(item.due, span, not, today);
  if (field === 'start') return dayTelling(item.start, span, not, today);
  if (not || span.kind === 'none' || span.kind === 'any') return undefined;
  const [from, before] = instantsAround(span, today);
  if (field === 'made') return and(gte(item.createdAt, from), lt(item.createdAt, before));
  if (field !== 'done') return undefined;
  const completed = and(eq(part.houseId, houseId), gte(part.completedAt, from), lt(part.completedAt, before));
  return inArray(item.id, sql`(select ${part.itemId} from ${part} where ${completed})`);
}

function dayTelling(column: AnyColumn, span: Span, not: boolean, today: string): SQL | undefined {
  if (span.kind === 'none' || span.kind === 'any') return (span.kind === 'none') === not ? isNotNull(column) : isNull(column);
  const [from, to] = daysOfSpan(span, today);
  // after all hours of the last day
  const end = `${to}T~`;
  return not ? or(lt(column, from), sql`${column} > ${end}`) : and(gte(column, from), lte(column, end));
}

/** Instants that hold those of some calendar days, in whichever zone: the ends are a day further out. */
function instantsAround(span: Exclude<Span, { kind: 'none' | 'any' }>, today: string): [from: string, before: string] {
  const [from, to] = daysOfSpan(span, today);
  const isOpen = span.kind === 'past';
  return [isOpen ? from : addDays(from, -1), `${addDays(to, 2)}`];
}

function isHeldByOneOf(who: readonly string[], { personId }: Asking): SQL | undefined {
  if (who.includes('nobody')) return undefined;
  const ids = who.map((one) => (one === 'me' ? personId : one));
  const given = inArray(item.id, sql`(select ${part.itemId} from ${part} where ${inArray(part.personId, ids)})`);
  return or(given, and(isNull(item.listId), isNull(item.parentId), inArray(item.makerId, ids)));
}

function isFromOneOf(who: readonly string[], { personId }: Asking): SQL | undefined {
  const ids = who.map((one) => (one === 'me' ? personId : one));
  return exists(sql`(select 1 from ${part} where ${and(eq(part.itemId, item.id), or(inArray(part.giverId, ids), inArray(part.originId, ids)))})`);
}
