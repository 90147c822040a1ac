import {
  addDays,
  asksAhead,
  forgettingsAhead,
  instantAt,
  earliestFirst,
  lastCallsAhead,
  nextAppearance,
  nudgeBatches,
  nudgeBatchesInSteps,
  purgesAhead,
  ringId,
  ringsAhead,
  stretchesAhead,
  stampOf,
  type CommandName,
  type House,
  type NudgeBatch,
  type Reader,
} from '@kotiva/core';
import { v5 } from 'uuid';
import { holidaysToLookUp, lookUpHolidays } from './holidays.ts';

/** Something that happens by itself in a house at a moment: a command nobody gives. */
export interface Due {
  houseId: string;
  /** UTC instant; in the past where nothing ran at its time. */
  at: string;
  /** Follows from what it is about and its moment, so that it happens once however often it is tried. */
  id: string;
  name: CommandName;
  payload: unknown;
}

/**
 * What comes of its kind, the next first, and no more than is asked for. It follows from the rows alone; `now` says only which day it
 * is. Null: nothing yet, others may have their turn.
 */
export type Planner = (house: House, rows: Reader, now: string) => Iterable<Due | null>;

function* nudges(house: House, rows: Reader): Generator<Due | null> {
  const working = nudgeBatchesInSteps(house, rows);
  let step = working.next();
  for (; !step.done; step = working.next()) yield null;
  for (const round of step.value) yield roundDue(house, round);
}

const roundDue = ({ id: houseId }: House, { personId, at, partIds }: NudgeBatch): Due => ({
  houseId,
  at,
  id: v5(`nudge:${personId}:${at}`, houseId),
  name: 'nudge.send',
  payload: { person: personId, parts: partIds, at },
});

/** The next round of one person up to a moment, or null: what an account is asked in another house comes along. */
export function roundOf(personId: string, until: string, house: House, rows: Reader): Due | null {
  const round = nudgeBatches(house, rows).find((one) => one.personId === personId && one.at <= until);
  return round ? roundDue(house, round) : null;
}

function* reminders({ id: houseId, ...house }: House, rows: Reader): Generator<Due> {
  for (const { alarmId, at } of ringsAhead(house, rows)) yield { houseId, at, id: ringId(alarmId, at), name: 'alarm.ring', payload: { alarm: alarmId, at } };
}

function* lastCalls(house: House, rows: Reader, now: string): Generator<Due> {
  for (const { personId, date, at } of lastCallsAhead(now, house, rows))
    yield { houseId: house.id, at, id: v5(`last-call:${personId}:${date}`, house.id), name: 'day.call', payload: { person: personId, date } };
}

function* stretches(house: House, rows: Reader): Generator<Due> {
  for (const { stretchId, at } of stretchesAhead(rows))
    yield { houseId: house.id, at, id: v5(`stretch-over:${at}`, stretchId), name: 'stretch.over', payload: { stretch: stretchId } };
}

function* asksAgain(house: House, rows: Reader): Generator<Due> {
  for (const { waitId, at } of asksAhead(house, rows))
    yield { houseId: house.id, at, id: v5(`ask-again:${at}`, waitId), name: 'wait.askAgain', payload: { wait: waitId } };
}

function* purges(house: House, rows: Reader): Generator<Due> {
  for (const { itemId, at } of purgesAhead(rows)) yield { houseId: house.id, at, id: v5(`purge:${at}`, itemId), name: 'item.purge', payload: { item: itemId } };
}

function* forgetting(house: House, rows: Reader): Generator<Due> {
  for (const { visitId, at } of forgettingsAhead(rows))
    yield { houseId: house.id, at, id: v5(`forget:${at}`, visitId), name: 'visit.forget', payload: { visit: visitId } };
}

/** The day after somebody is back nobody stands in for them any more. */
function* standInsOver({ id: houseId, zone }: House, rows: Reader): Generator<Due> {
  const found = rows.all('timeAway').flatMap(({ id, standInId, to, removedAt }) => {
    const at = instantAt(addDays(to, 1), zone);
    return standInId === null || removedAt !== null
      ? []
      : [{ houseId, at, id: v5(`stand-in-over:${to}`, id), name: 'away.standInOver' as const, payload: { away: id } }];
  });
  yield* earliestFirst(found, ({ id }) => id);
}

/** The next occurrence of each chore: when its day begins, or now where the last is over. */
function* chores(house: House, rows: Reader, now: string): Generator<Due | null> {
  const found: Due[] = [];
  for (const series of rows.all('series')) {
    const next = nextAppearance(series, now, house, rows);
    if (found.length % 20 === 19) yield null;
    if (!next) continue;
    const { recurrenceId } = next.occurrence;
    const payload = { series: series.id, recurrenceId };
    found.push({ houseId: house.id, at: next.at, id: v5(`appear:${recurrenceId}`, series.id), name: 'chore.appear', payload });
  }
  yield* earliestFirst(found, ({ id }) => id);
}

function* holidays(house: House, _rows: Reader, now: string): Generator<Due> {
  const wanted = holidaysToLookUp(house, now);
  if (!wanted) return;
  const { region, until } = wanted;
  yield {
    houseId: house.id,
    at: now,
    id: v5(`holidays:${region}:${until}:${stampOf(house, 'region')?.c}`, house.id),
    name: 'house.setHolidays',
    payload: lookUpHolidays(region, until),
  };
}

/**
 * Everything a house does by itself, by name. Midnight is not among them: where an item shows follows from the day, on every side, so
 * nothing has to be done for it.
 */
export const PLANNERS: Readonly<Record<string, Planner>> = {
  holidays,
  chores,
  reminders,
  stretches,
  nudges,
  lastCalls,
  asksAgain,
  purges,
  forgetting,
  standInsOver,
};
