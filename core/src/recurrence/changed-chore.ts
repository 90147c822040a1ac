import type { Rows } from '../reader/finding.ts';
import type { Override, Series } from '../model/series.ts';
import { addDays } from '../time/clock.ts';
import { CHORE_STEPS } from './chore-bounds.ts';
import { isOver, isSetAside, madeOf, occurrencesAfter, recurrenceOf, type ChoreHouse } from './chores.ts';
import { carryExceptions, type CarriedExceptions, type Exception } from './exceptions.ts';
import { occurrences } from './occurrences.ts';
import { formatRRule, parseRRule } from './rrule.ts';
import { queueOf } from './whose-turn.ts';

/** A chore as it is from an occurrence or a day on, where something of it is changed there. Reads only. */

/** What may be said of it anew; what is left out stays. */
export type Said = Partial<Omit<Series, 'id' | 'houseId' | 'seq' | 'stamps'>>;

export const saidOf = (fields: Said): Said => Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));

/** The chore that goes on from there, without what tells it from the one before. */
export function changedFrom(series: Series, from: string, said: Said, rows: Rows, house: ChoreHouse): Omit<Series, 'id' | 'houseId' | 'seq' | 'stamps'> {
  const { id, houseId: _house, seq: _seq, stamps: _stamps, ...as } = series;
  const rule = said.rrule ? { rrule: said.rrule, afterDone: null } : said.afterDone ? { rrule: null, afterDone: said.afterDone } : {};
  return {
    ...as,
    rrule: restOf(series, from, house),
    personIds: queueOf(series, rows, from),
    ...said,
    ...rule,
    dtstart: startAt(from, said.dtstart ?? firstFrom(series, from, rows, house), series, rows, house),
    followsId: id,
  };
}

/** Its single exceptions from there on, as those of the changed rule; and those that can't be kept. */
export const exceptionsAfter = (
  series: Series,
  from: string,
  next: Pick<Series, 'rrule' | 'afterDone' | 'dtstart'>,
  rows: Rows,
  house: ChoreHouse,
): CarriedExceptions => (isSetAside(series) ? { kept: [], lost: [] } : carryExceptions(exceptionsFrom(series, from, rows), series, next, house));

/** An occurrence where a day was said: the rule keeps its hour and its every other week. */
function firstFrom(series: Series, from: string, rows: Rows, house: ChoreHouse): string {
  for (const { recurrenceId } of occurrencesAfter(series, addDays(from.slice(0, 10), -1), house, rows)) if (recurrenceId >= from) return recurrenceId;
  return from;
}

/** What of a chore differs from its rule, from an occurrence or a day on; what is done ahead is not done again. */
function exceptionsFrom(series: Series, from: string, rows: Rows): Exception[] {
  const said = rows
    .by('override', 'seriesId', series.id)
    .filter((one) => one.recurrenceId >= from && (one.skipped || one.at !== null || one.personId !== null));
  const done = madeOf(series.id, rows).filter(({ recurrenceId, removedAt }) => recurrenceId! >= from && removedAt === null);
  const ahead = done.filter((item) => isOver(item, rows)).map(({ recurrenceId }) => ({ recurrenceId: recurrenceId!, ...LEFT_OUT }));
  const isDoneAhead = new Set(ahead.map(({ recurrenceId }) => recurrenceId));
  return [...said.filter(({ recurrenceId }) => !isDoneAhead.has(recurrenceId)).map(asException), ...ahead];
}

const LEFT_OUT = { at: null, skipped: true, personId: null, countsFor: null };
const asException = ({ recurrenceId, at, skipped, personId, countsFor }: Override): Exception => ({ recurrenceId, at, skipped, personId, countsFor });

/** From the day said on: also an earlier one than that of the occurrence it begins with, but after the one before that, which is past. */
function startAt(from: string, said: string, series: Series, rows: Rows, house: ChoreHouse): string {
  const day = said.slice(0, 10);
  const isEarlier = day < from.slice(0, 10) && !(series.rrule !== null && day > dayBefore(from, series, rows, house));
  return `${isEarlier ? from.slice(0, 10) : day}${said.slice(10)}`;
}

/** The day of the last occurrence before one; where there is none for a year, a year before. */
function dayBefore(recurrenceId: string, series: Series, rows: Rows, house: ChoreHouse): string {
  const yearBefore = addDays(recurrenceId.slice(0, 10), -366);
  if (isSetAside(series)) return yearBefore;
  let last = yearBefore;
  for (const found of occurrences(recurrenceOf(series, house, rows), { after: yearBefore, before: recurrenceId, maxSteps: CHORE_STEPS }))
    last = found.at.slice(0, 10);
  return last;
}

/** Of a rule that ends after so many, those that are left. */
function restOf(series: Series, from: string, house: ChoreHouse): string | null {
  if (series.rrule === null || isSetAside(series)) return series.rrule;
  const rule = parseRRule(series.rrule);
  if (rule.count === null) return series.rrule;
  const before = [...occurrences({ rrule: series.rrule, dtstart: series.dtstart, zone: house.zone }, { before: from, maxSteps: CHORE_STEPS })].length;
  return formatRRule({ ...rule, count: Math.max(1, rule.count - before) });
}
