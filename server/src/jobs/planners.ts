import {
  firstAskAgain,
  firstForgotten,
  firstLastCall,
  firstPurge,
  firstRing,
  nextAppearance,
  nudgeRounds,
  ringId,
  stampOf,
  type CommandName,
  type House,
  type NudgeRound,
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

/** The next of its kind, or null. It follows from the rows alone; `now` says only which day it is. */
type Planner = (house: House, rows: Reader, now: string) => Due | null;

/** What core reads is a part of every reader. */
const as = <R>(rows: Reader): R => rows as unknown as R;

const nudges: Planner = (house, rows) => {
  const round = nudgeRounds(house, as(rows))[0];
  return round ? roundDue(house, round) : null;
};

const roundDue = ({ id: houseId }: House, { personId, at, partIds }: NudgeRound): Due => ({
  houseId,
  at,
  id: v5(`nudge:${personId}:${at}`, houseId),
  name: 'nudge.send',
  payload: { person: personId, parts: partIds, at },
});

/** The next round of one person up to a moment, or null: what an account is asked in another house comes along. */
export function roundOf(personId: string, until: string, house: House, rows: Reader): Due | null {
  const round = nudgeRounds(house, as(rows)).find((one) => one.personId === personId && one.at <= until);
  return round ? roundDue(house, round) : null;
}

const reminders: Planner = (house, rows) => {
  const ring = firstRing(house, as(rows));
  return ring && { houseId: house.id, at: ring.at, id: ringId(ring.alarmId, ring.at), name: 'alarm.ring', payload: { alarm: ring.alarmId, at: ring.at } };
};

const lastCalls: Planner = (house, rows, now) => {
  const call = firstLastCall(now, house, as(rows));
  if (!call) return null;
  const { personId, date, at } = call;
  return { houseId: house.id, at, id: v5(`last-call:${personId}:${date}`, house.id), name: 'day.call', payload: { person: personId, date } };
};

const asksAgain: Planner = (house, rows) => {
  const ask = firstAskAgain(house, as(rows));
  return ask && { houseId: house.id, at: ask.at, id: v5(`ask-again:${ask.at}`, ask.waitId), name: 'wait.askAgain', payload: { wait: ask.waitId } };
};

const purges: Planner = (house, rows) => {
  const purge = firstPurge(as(rows));
  return purge && { houseId: house.id, at: purge.at, id: v5(`purge:${purge.at}`, purge.itemId), name: 'item.purge', payload: { item: purge.itemId } };
};

const forgetting: Planner = (house, rows) => {
  const next = firstForgotten(as(rows));
  return next && { houseId: house.id, at: next.at, id: v5(`forget:${next.at}`, next.visitId), name: 'visit.forget', payload: { visit: next.visitId } };
};

/** The first occurrence of a chore to come: when its day begins, or now where the last is over. */
const chores: Planner = (house, rows, now) => {
  let first: Due | null = null;
  for (const series of rows.all('series')) {
    const next = nextAppearance(series, now, house, rows);
    if (!next || (first !== null && first.at <= next.at)) continue;
    const { recurrenceId } = next.occurrence;
    first = { houseId: house.id, at: next.at, id: v5(`appear:${recurrenceId}`, series.id), name: 'chore.appear', payload: { series: series.id, recurrenceId } };
  }
  return first;
};

const holidays: Planner = (house, _rows, now) => {
  const wanted = holidaysToLookUp(house, now);
  if (!wanted) return null;
  const { region, until } = wanted;
  return {
    houseId: house.id,
    at: now,
    id: v5(`holidays:${region}:${until}:${stampOf(house, 'region')?.c}`, house.id),
    name: 'house.setHolidays',
    payload: lookUpHolidays(region, until),
  };
};

/**
 * Everything a house does by itself. Midnight is not among them: where an item shows follows from the day, on every side, so nothing
 * has to be done for it.
 */
export const PLANNERS: readonly Planner[] = [holidays, chores, reminders, nudges, lastCalls, asksAgain, purges, forgetting];
