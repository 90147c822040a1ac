import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { natureOf } from '../model/nature-schema.ts';
import { Id, Moment } from '../model/row-schema.ts';
import type { Series } from '../model/series.ts';
import { changedFrom, exceptionsAfter, saidOf } from '../recurrence/changed-chore.ts';
import { beginningOf, isOver, isSetAside, madeOf, nextToMake } from '../recurrence/chores.ts';
import { calendarDateOf } from '../time/clock.ts';
import { appear, assignNow, firstOf, insertSeries, override, reassign, withdraw } from './appearing.ts';
import { CHORE, fieldsOf, ofSeries } from './chore-fields.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';

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
    const first = from ?? splitAt(series, fields.dtstart, d);
    if (first === null || (series.endsBefore !== null && first >= series.endsBefore)) refuse('not-to-come', { title: series.title });
    goOn(series, first, fields, d);
  },
});

/** Where nothing is said: the newest that is open, or the day it is to begin if that is later. What lies before stays. */
function splitAt(series: Series, dtstart: string | undefined, d: Deciding): string | null {
  const newest = newestOpen(series, d);
  return newest !== null && dtstart !== undefined && dtstart.slice(0, 10) > newest.slice(0, 10) ? dtstart.slice(0, 10) : newest;
}

/** The newest that is open, else the next to come: what lies before it is past. */
function newestOpen(series: Series, d: Deciding): string | null {
  const made = madeOf(series.id, d);
  const open = made.filter((item) => !isOver(item, d)).at(-1);
  if (open) return open.recurrenceId;
  // of a rule that can't be worked out nothing is to come: it is said anew from today
  if (isSetAside(series)) return calendarDateOf(d.now, d.house.zone);
  return nextToMake(series, made.at(-1)?.recurrenceId ?? null, d.house, d)?.recurrenceId ?? null;
}

/** A new chore from an occurrence on, with what differs; the open one there is goes along, and so do single exceptions. */
function goOn(series: Series, from: string, fields: Partial<Series>, d: Deciding): void {
  const { id } = series;
  const given = saidOf(fields);
  const next = insertSeries(d, { ...changedFrom(series, from, given, d, d.house), createdAt: d.now });
  const open = madeOf(id, d).filter((item) => item.recurrenceId! >= from && !isOver(item, d));
  for (const { recurrenceId, ...exception } of exceptionsAfter(series, from, next, d, d.house).kept) override(next, recurrenceId, exception, d);
  d.set('series', id, { endsBefore: from });
  for (const item of open.slice(1)) withdraw(item, d);
  const item = open[0] ? takeAlong(open[0], next, given, d) : appearIfDue(next, d);
  const about = item ?? madeOf(id, d).at(-1);
  if (about) d.enter('chore.change', { itemId: about.id }, { from: from.slice(0, 10) });
}

function takeAlong(item: Item, series: Series, given: Partial<Series>, d: Deciding): Item {
  const first = firstOf(series, d);
  d.set('item', item.id, { ...natureOf(given), title: given.title, seriesId: series.id, recurrenceId: first.recurrenceId, due: first.at });
  if (given.turn !== undefined || given.personIds !== undefined) reassign(d.need('item', item.id), assignNow(series, first, d), d);
  return d.need('item', item.id);
}

/** What goes on from a later one comes when its time has come. */
function appearIfDue(series: Series, d: Deciding): Item | null {
  const first = beginningOf(series, d.now, d.house, d);
  const today = calendarDateOf(d.now, d.house.zone);
  return first && first.at.slice(0, 10) <= today ? appear(series, first, d) : null;
}
