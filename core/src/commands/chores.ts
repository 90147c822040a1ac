import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { natureOf } from '../model/nature-schema.ts';
import { ChoreStart, Id, Moment } from '../model/row-schema.ts';
import type { Series } from '../model/series.ts';
import { isOver, itemsOf, lastMadeOf, madeOf, nextAppearance, nextToMake, occurrencesAfter } from '../recurrence/chores.ts';
import type { Occurrence } from '../recurrence/occurrences.ts';
import { addDays, calendarDateOf, isMoment } from '../time/clock.ts';
import { rearmAlarms } from './alarms.ts';
import { appear, appearFirst, assignNow, bringNext, firstOf, insertSeries, override, reassign, withdraw } from './appearing.ts';
import { endFrom } from './chore-ends.ts';
import { CHORE, fieldsOf, ofSeries } from './chore-fields.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';
import { askForContainer, CONTAINER, containerOf } from './container.ts';

/** Makes a chore, of nothing or of an item there is: that becomes its first. */
export const makeChore = commandKind({
  name: 'chore.make',
  payload: z.object({ item: z.optional(Id), ...CONTAINER, ...CHORE, dtstart: ChoreStart }),
  asks: ({ item, ...spot }) => [item === undefined ? askForContainer(spot) : { permission: 'change', item }],
  decide({ item: itemId, list, section, parent, ...said }, d) {
    if (parent) refuse('step-recurs', {}, 'rrule');
    const fields = fieldsOf(said, d);
    const rule = { rrule: fields.rrule ?? null, afterDone: fields.afterDone ?? null, dtstart: said.dtstart };
    if (itemId !== undefined) return becomeChore(itemId, { ...fields, ...rule }, d);
    if (fields.title === undefined) refuse('title-empty', {}, 'title');
    const { listId, sectionId } = containerOf({ list, section }, d);
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

const justBefore = (recurrenceId: string): string => addDays(recurrenceId.slice(0, 10), -1);

export const ONE = z.object({ series: Id, recurrenceId: Moment });

/** The occurrence named: it must be one of the chore's, and not be over. */
export function needOpen(
  { series: seriesId, recurrenceId }: { series: string; recurrenceId: string },
  d: Deciding,
): { series: Series; occurrence: Occurrence; item: Item | null } {
  const series = d.need('series', seriesId);
  const item = itemsOf(seriesId, d).find((one) => one.recurrenceId === recurrenceId) ?? null;
  if (item && isOver(item, d)) refuse('not-to-come', { title: series.title });
  if (item) return { series, occurrence: { recurrenceId, at: item.due ?? recurrenceId }, item };
  for (const found of occurrencesAfter(series, justBefore(recurrenceId), d.house, d)) {
    if (found.recurrenceId === recurrenceId) return { series, occurrence: found, item };
    if (found.recurrenceId > recurrenceId) break;
  }
  return refuse('not-to-come', { title: series.title });
}

/** No more of it from an occurrence on, that one included; of one that is past, from today on. */
export const endChore = commandKind({
  name: 'chore.end',
  payload: ONE,
  ...ofSeries,
  decide({ series: seriesId, recurrenceId }, d) {
    const series = d.need('series', seriesId);
    const today = calendarDateOf(d.now, d.house.zone);
    // what was due before today and is open stays to be done
    const from = recurrenceId > today ? recurrenceId : today;
    // it goes on as another one from there, or has ended already: an end is never moved to a later day
    if (series.endsBefore !== null && from >= series.endsBefore) refuse('not-to-come', { title: series.title });
    endFrom(series, from, d);
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
    const next = nextToMake(series, lastMadeOf(seriesId, d)?.recurrenceId ?? null, d.house, d);
    if (!next || series.rrule === null) refuse('not-to-come', { title: series.title });
    appear(series, next, d);
  },
});

/** The rule goes: earlier ones stay, this one is a plain item, later ones go. */
export const makePlain = commandKind({
  name: 'chore.plain',
  payload: z.object({ item: Id }),
  asks: ({ item }) => [{ permission: 'change', item }],
  decide({ item: itemId }, d) {
    const item = d.need('item', itemId);
    if (item.seriesId === null || item.recurrenceId === null) refuse('not-to-come', { title: item.title });
    for (const later of madeOf(item.seriesId, d)) if (later.recurrenceId! > item.recurrenceId && !isOver(later, d)) withdraw(later, d);
    if (d.find('series', item.seriesId)) d.set('series', item.seriesId, { endsBefore: item.recurrenceId });
    d.set('item', itemId, { seriesId: null, recurrenceId: null, turn: null });
    d.enter('chore.plain', { itemId });
  },
});

/** Its day has come: what the clock does. */
export const appearByItself = commandKind({
  name: 'chore.appear',
  payload: ONE,
  asks: () => [{ permission: 'system' }],
  decide({ series: seriesId, recurrenceId }, d) {
    const series = d.need('series', seriesId);
    const next = nextAppearance(series, d.now, d.house, d);
    if (next?.occurrence.recurrenceId === recurrenceId) appear(series, next.occurrence, d);
  },
});
