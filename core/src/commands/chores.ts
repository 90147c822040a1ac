import * as z from 'zod/mini';
import { MOST_ALARMS, Trigger } from '../model/alarm.ts';
import { natureOf, Policy, type Item } from '../model/item.ts';
import { ChoreStart, Id, Moment, Text, Title } from '../model/row.ts';
import { AfterDone, Missed, RRuleText, TurnKind, type Series } from '../model/series.ts';
import { beginningOf, isOver, isSetAside, itemsOf, madeOf, nextAppearance, nextToMake, occurrencesAfter, recurrenceOf } from '../recurrence/chores.ts';
import { CHORE_STEPS } from '../recurrence/chore-bounds.ts';
import { occurrences, type Occurrence } from '../recurrence/occurrences.ts';
import { OFF_DAY_SHIFTS } from '../recurrence/off-days.ts';
import { formatRRule, parseRRule } from '../recurrence/rrule.ts';
import { queueOf } from '../recurrence/whose-turn.ts';
import { addDays, calendarDateOf, isMoment } from '../time/clock.ts';
import { rearmAlarms } from './alarms.ts';
import { appear, appearFirst, assignNow, bringNext, firstOf, houseOf, insertSeries, override, reassign, withdraw } from './appearing.ts';
import { endFrom } from './chore-ends.ts';
import type { Deciding } from './deciding.ts';
import { contextOf, NATURE } from './item-fields.ts';
import { commandKind } from './kind.ts';
import type { Ask } from './may.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';
import { askForSpot, SPOT, spotOf } from './spot.ts';

/** What a chore says of itself, beside where it lies. */
const CHORE = {
  title: z.optional(Title),
  notes: z.optional(Text),
  policy: z.optional(Policy),
  confirm: z.optional(z.boolean()),
  steps: z.optional(z.array(Title).check(z.maxLength(60))),
  alarms: z.optional(z.array(Trigger).check(z.maxLength(MOST_ALARMS))),
  rrule: z.optional(z.nullable(RRuleText)),
  afterDone: z.optional(z.nullable(AfterDone)),
  dtstart: z.optional(ChoreStart),
  offDay: z.optional(z.enum(OFF_DAY_SHIFTS)),
  missed: z.optional(Missed),
  whenDone: z.optional(z.boolean()),
  turn: z.optional(TurnKind),
  persons: z.optional(z.array(Id).check(z.maxLength(60))),
  ...NATURE,
};
type ChoreFields = z.infer<z.ZodMiniObject<typeof CHORE>>;

function fieldsOf({ persons, tags, situations, place, ...fields }: ChoreFields, d: Deciding): Partial<Series> {
  if (fields.dtstart !== undefined && !isMoment(fields.dtstart)) refuse('malformed', { value: fields.dtstart }, 'dtstart');
  if (fields.turn !== undefined && fields.turn !== 'fixed' && persons?.length === 0) refuse('malformed', { field: 'persons' }, 'persons');
  return { ...fields, ...contextOf({ tags, situations, place }, d), personIds: persons?.map((id) => needPerson(id, d).id) };
}

/** A chore of one's own pile is its maker's; one of a list is changed by who may change things there. */
export function askToChange(series: Series | undefined, d: Deciding): Ask {
  if (series?.listId) return { deed: 'change', list: series.listId };
  return { deed: 'self', is: series !== undefined && series.makerId === d.actorOrNull?.id };
}
const ofSeries = { asks: ({ series }: { series: string }, d: Deciding): Ask[] => [askToChange(d.need('series', series), d)] };

/** Makes a chore, of nothing or of an item there is: that becomes its first. */
export const makeChore = commandKind({
  name: 'chore.make',
  payload: z.object({ item: z.optional(Id), ...SPOT, ...CHORE, dtstart: ChoreStart }),
  asks: ({ item, ...spot }) => [item === undefined ? askForSpot(spot) : { deed: 'change', item }],
  decide({ item: itemId, list, section, parent, ...said }, d) {
    if (parent) refuse('step-recurs', {}, 'rrule');
    const fields = fieldsOf(said, d);
    const rule = { rrule: fields.rrule ?? null, afterDone: fields.afterDone ?? null, dtstart: said.dtstart };
    if (itemId !== undefined) return becomeChore(itemId, { ...fields, ...rule }, d);
    if (fields.title === undefined) refuse('title-empty', {}, 'title');
    const { listId, sectionId } = spotOf({ list, section }, d);
    const item = appearFirst(insertSeries(d, { ...fields, ...rule, title: fields.title, listId, sectionId }), d);
    d.enter('chore.make', { itemId: item.id });
  },
});

function becomeChore(itemId: string, fields: Partial<Series> & Pick<Series, 'rrule' | 'afterDone' | 'dtstart'>, d: Deciding): void {
  const item = d.need('item', itemId);
  if (item.seriesId !== null) refuse('malformed', { field: 'item' }, 'item');
  if (item.parentId !== null) refuse('step-recurs', { title: item.title }, 'rrule');
  const { listId, sectionId, makerId, title } = item;
  const steps = d.by('item', 'parentId', itemId).filter((step) => step.removedAt === null);
  const held = d.by('part', 'itemId', itemId).flatMap((part) => (part.personId !== null && part.takenBackAt === null ? [part.personId] : []));
  const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
  const series = insertSeries(d, {
    ...natureOf(item),
    makerId,
    steps: steps.map((step) => step.title),
    personIds: held,
    ...(given as typeof fields),
    title: fields.title ?? title,
    listId,
    sectionId,
  });
  const first = firstOf(series, d);
  const assigned = assignNow(series, first, d);
  d.set('item', itemId, {
    seriesId: series.id,
    recurrenceId: first.recurrenceId,
    due: first.at,
    turn: assigned.turn,
    policy: series.policy,
    title: series.title,
  });
  reassign(d.need('item', itemId), assigned, d);
  d.enter('chore.make', { itemId });
}

/**
 * Changes a chore: from one of its occurrences on, or all that are not over. What changes the rule or who does it begins a new chore that
 * goes on from the old one; what is past stays as it was.
 */
export const changeChore = commandKind({
  name: 'chore.change',
  payload: z.object({ series: Id, from: z.optional(z.nullable(Moment)), ...CHORE }),
  ...ofSeries,
  decide({ series: seriesId, from, ...said }, d) {
    const series = d.need('series', seriesId);
    const fields = fieldsOf(said, d);
    const first = from ?? newestOpen(series, d);
    if (first === null) refuse('not-to-come', { title: series.title });
    goOn(series, first, fields, d);
  },
});

/** The newest that is open, else the next to come: what lies before it is past. */
function newestOpen(series: Series, d: Deciding): string | null {
  const made = madeOf(series.id, d);
  const open = made.filter((item) => isOpen(item, d)).at(-1);
  if (open) return open.recurrenceId;
  // of a rule that can't be worked out nothing is to come: it is said anew from today
  if (isSetAside(series)) return calendarDateOf(d.now, houseOf(d).zone);
  return nextToMake(series, made.at(-1)?.recurrenceId ?? null, houseOf(d), d)?.recurrenceId ?? null;
}

const isOpen = (item: Item, d: Deciding): boolean => !isOver(item, d);

/** A new chore from an occurrence on, with what differs; the open one there is goes along. */
function goOn(series: Series, from: string, fields: Partial<Series>, d: Deciding): void {
  const { id, houseId: _house, seq: _seq, stamps: _stamps, ...as } = series;
  const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<Series>;
  const rule = given.rrule ? { rrule: given.rrule, afterDone: null } : given.afterDone ? { rrule: null, afterDone: given.afterDone } : {};
  const next = insertSeries(d, {
    ...as,
    rrule: restOf(series, from, d),
    personIds: queueOf(series, d, from),
    createdAt: d.now,
    ...given,
    ...rule,
    dtstart: startAt(from, given.dtstart ?? from, series, d),
    followsId: id,
  });
  const open = madeOf(id, d).filter((item) => item.recurrenceId! >= from && isOpen(item, d));
  d.set('series', id, { endsBefore: from });
  for (const item of open.slice(1)) withdraw(item, d);
  const item = open[0] ? takeAlong(open[0], next, given, d) : appearIfDue(next, d);
  if (item) d.enter('chore.change', { itemId: item.id }, { from: from.slice(0, 10) });
}

/** From the day said on: also an earlier one than that of the occurrence it begins with, but after the one before that, which is past. */
function startAt(from: string, said: string, series: Series, d: Deciding): string {
  const day = said.slice(0, 10);
  const isEarlier = day < from.slice(0, 10) && !(series.rrule !== null && day > dayBefore(from, series, d));
  return `${isEarlier ? from.slice(0, 10) : day}${said.slice(10)}`;
}

/** The day of the last occurrence before one; where there is none for a year, a year before. */
function dayBefore(recurrenceId: string, series: Series, d: Deciding): string {
  const yearBefore = addDays(recurrenceId.slice(0, 10), -366);
  if (isSetAside(series)) return yearBefore;
  let last = yearBefore;
  for (const found of occurrences(recurrenceOf(series, houseOf(d), d), { after: yearBefore, before: recurrenceId, maxSteps: CHORE_STEPS }))
    last = found.at.slice(0, 10);
  return last;
}

/** Of a rule that ends after so many, those that are left. */
function restOf(series: Series, from: string, d: Deciding): string | null {
  if (series.rrule === null || isSetAside(series)) return series.rrule;
  const rule = parseRRule(series.rrule);
  if (rule.count === null) return series.rrule;
  const before = [...occurrences({ rrule: series.rrule, dtstart: series.dtstart, zone: houseOf(d).zone }, { before: from, maxSteps: CHORE_STEPS })].length;
  return formatRRule({ ...rule, count: Math.max(1, rule.count - before) });
}

function takeAlong(item: Item, series: Series, given: Partial<Series>, d: Deciding): Item {
  const first = firstOf(series, d);
  d.set('item', item.id, { ...natureOf(given), title: given.title, seriesId: series.id, recurrenceId: first.recurrenceId, due: first.at });
  if (given.turn !== undefined || given.personIds !== undefined) reassign(d.need('item', item.id), assignNow(series, first, d), d);
  return d.need('item', item.id);
}

/** What goes on from a later one comes when its time has come. */
function appearIfDue(series: Series, d: Deciding): Item | null {
  const first = beginningOf(series, d.now, houseOf(d), d);
  const today = calendarDateOf(d.now, houseOf(d).zone);
  return first && first.at.slice(0, 10) <= today ? appear(series, first, d) : null;
}

const justBefore = (recurrenceId: string): string => addDays(recurrenceId.slice(0, 10), -1);

export const ONE = z.object({ series: Id, recurrenceId: Moment });

/** The occurrence named: it must be one of the chore's, and not be over. */
export function needOpen(
  { series: seriesId, recurrenceId }: { series: string; recurrenceId: string },
  d: Deciding,
): { series: Series; occurrence: Occurrence; item: Item | null } {
  const series = d.need('series', seriesId);
  const item = itemsOf(seriesId, d).find((one) => one.recurrenceId === recurrenceId) ?? null;
  if (item && !isOpen(item, d)) refuse('not-to-come', { title: series.title });
  if (item) return { series, occurrence: { recurrenceId, at: item.due ?? recurrenceId }, item };
  for (const found of occurrencesAfter(series, justBefore(recurrenceId), houseOf(d), d)) {
    if (found.recurrenceId === recurrenceId) return { series, occurrence: found, item };
    if (found.recurrenceId > recurrenceId) break;
  }
  return refuse('not-to-come', { title: series.title });
}

/** No more of it from an occurrence on, that one included. */
export const endChore = commandKind({
  name: 'chore.end',
  payload: ONE,
  ...ofSeries,
  decide({ series: seriesId, recurrenceId }, d) {
    const series = d.need('series', seriesId);
    // it goes on as another one from there, or has ended already: an end is never moved to a later day
    if (series.endsBefore !== null && recurrenceId >= series.endsBefore) refuse('not-to-come', { title: series.title });
    endFrom(series, recurrenceId, d);
  },
});

/** Only this one is left out. */
export const skipOccurrence = commandKind({
  name: 'chore.skip',
  payload: ONE,
  ...ofSeries,
  decide(one, d) {
    const { series, item } = needOpen(one, d);
    override(series, one.recurrenceId, { skipped: true }, d);
    if (!item) return;
    withdraw(item, d);
    d.enter('chore.skip', { itemId: item.id });
    bringNext(item, d);
  },
});

/** Only this one is on another day or at another hour. */
export const moveOccurrence = commandKind({
  name: 'chore.move',
  payload: z.object({ ...ONE.shape, at: Moment }),
  ...ofSeries,
  decide({ at, ...one }, d) {
    if (!isMoment(at)) refuse('malformed', { value: at }, 'at');
    const { series, occurrence, item } = needOpen(one, d);
    override(series, one.recurrenceId, { at }, d);
    if (!item) return;
    d.set('item', item.id, { due: at });
    rearmAlarms(item.id, ['due'], d);
    d.enter('item.change', { itemId: item.id }, { field: 'due', from: occurrence.at, to: at });
  },
});

/** The next one now, before its day. */
export const bringForward = commandKind({
  name: 'chore.ahead',
  payload: z.object({ series: Id }),
  ...ofSeries,
  decide({ series: seriesId }, d) {
    const series = d.need('series', seriesId);
    const next = nextToMake(series, madeOf(seriesId, d).at(-1)?.recurrenceId ?? null, houseOf(d), d);
    if (!next || series.rrule === null) refuse('not-to-come', { title: series.title });
    appear(series, next, d);
  },
});

/** The rule goes: earlier ones stay, this one is a plain item, later ones go. */
export const makePlain = commandKind({
  name: 'chore.plain',
  payload: z.object({ item: Id }),
  asks: ({ item }) => [{ deed: 'change', item }],
  decide({ item: itemId }, d) {
    const item = d.need('item', itemId);
    if (item.seriesId === null || item.recurrenceId === null) refuse('not-to-come', { title: item.title });
    for (const later of madeOf(item.seriesId, d)) if (later.recurrenceId! > item.recurrenceId && isOpen(later, d)) withdraw(later, d);
    if (d.find('series', item.seriesId)) d.set('series', item.seriesId, { endsBefore: item.recurrenceId });
    d.set('item', itemId, { seriesId: null, recurrenceId: null, turn: null });
    d.enter('chore.plain', { itemId });
  },
});

/** Its day has come: what the clock does. */
export const appearByItself = commandKind({
  name: 'chore.appear',
  payload: ONE,
  asks: () => [{ deed: 'system' }],
  decide({ series: seriesId, recurrenceId }, d) {
    const series = d.need('series', seriesId);
    const next = nextAppearance(series, d.now, houseOf(d), d);
    if (next?.occurrence.recurrenceId === recurrenceId) appear(series, next.occurrence, d);
  },
});
