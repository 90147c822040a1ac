import type { Rows } from '../reader/finding.ts';
import { WEEKDAYS } from '../model/weekday.ts';
import type { Alarm, PlaceTrigger } from '../model/alarm.ts';
import type { House } from '../model/house.ts';
import { isHere, type Person } from '../model/person.ts';
import { isThere, visitId } from '../model/visit.ts';
import { calendarDateOf, epochOf, wallClockOf, weekdayOf } from '../time/clock.ts';
import { isPlaceAlarm, type PlaceAlarm } from './place-alarm.ts';
import { isStillToDo } from './ringing.ts';

/** Which reminders ring when somebody comes to a place or leaves it. */

export interface Crossed {
  personId: string;
  placeId: string;
  on: 'enter' | 'leave';
  /** UTC instant. */
  at: string;
}

export interface PlaceRing {
  alarm: Alarm;
  /** Of whoever leaves last: people of whom nothing is known. */
  unknown: Person[];
}

/** Who got there first has it for so long, unless they leave before: then whoever comes next is reminded. */
const HAS_IT_MS = 3 * 3_600_000;

/** What rings for whoever crossed, and what does not because somebody else is there already. */
export function ringsOfCrossing(crossed: Crossed, house: Pick<House, 'zone'>, rows: Rows): { rings: PlaceRing[]; taken: Alarm[] } {
  const rings: PlaceRing[] = [];
  const taken: Alarm[] = [];
  for (const alarm of rows.all('alarm')) {
    if (alarm.removedAt !== null || !isPlaceAlarm(alarm) || !isMeant(alarm, crossed, house) || !isStillToDo(alarm, crossed.personId, rows)) continue;
    if (!mayBegin(alarm, crossed.at, house, rows)) continue;
    if (alarm.trigger.who === 'first' && isTaken(alarm, crossed, rows)) taken.push(alarm);
    else if (alarm.trigger.who !== 'last') rings.push({ alarm, unknown: [] });
    else if (!someoneStays(alarm, crossed, rows)) rings.push({ alarm, unknown: unknownOf(alarm, crossed, rows) });
  }
  return { rings, taken };
}

function isMeant({ personId, armedAt, trigger }: PlaceAlarm, crossed: Crossed, { zone }: Pick<House, 'zone'>): boolean {
  if (trigger.place !== crossed.placeId || trigger.on !== crossed.on || crossed.at < armedAt) return false;
  return (trigger.who === 'own' ? personId === crossed.personId : trigger.among.includes(crossed.personId)) && isItsTime(trigger, crossed.at, zone);
}

/** Hours that begin later than they end go over midnight. */
function isItsTime({ from, until, days }: Pick<PlaceTrigger, 'from' | 'until' | 'days'>, at: string, zone: string): boolean {
  const [date, hour] = wallClockOf(at, zone).split('T') as [string, string];
  if (days !== null && !days.includes(WEEKDAYS[weekdayOf(date) - 1]!)) return false;
  if (from !== null && until !== null && from > until) return hour >= from || hour < until;
  return (from === null || hour >= from) && (until === null || hour < until);
}

function isTaken({ rungById, rungFor }: Alarm, { personId, placeId, at }: Crossed, rows: Rows): boolean {
  if (rungById === null || rungFor === null || rungById === personId) return false;
  return epochOf(at) - epochOf(rungFor) < HAS_IT_MS && isKnownThere(rungById, placeId, rows);
}

function isKnownThere(personId: string, placeId: string, rows: Rows): boolean {
  const visit = rows.find('visit', visitId(personId, placeId));
  return visit !== undefined && isThere(visit);
}

const someoneStays = ({ trigger }: PlaceAlarm, { personId, placeId }: Crossed, rows: Rows): boolean =>
  trigger.among.some((id) => id !== personId && isKnownThere(id, placeId, rows));

function unknownOf({ trigger }: PlaceAlarm, { personId, placeId }: Crossed, rows: Rows): Person[] {
  return trigger.among.flatMap((id) => {
    const person = rows.find('person', id);
    const visit = rows.find('visit', visitId(id, placeId));
    const known = visit !== undefined && (visit.enteredAt !== null || visit.leftAt !== null);
    return id === personId || known || person === undefined || !isHere(person) ? [] : [person];
  });
}

/** Whom the hour reminds when nobody was seen leaving: those known to be there, else everybody it is for. */
export function fallbackFor({ trigger }: PlaceAlarm, rows: Rows): string[] {
  const there = trigger.among.filter((id) => isKnownThere(id, trigger.place, rows));
  return there.length > 0 ? there : trigger.among;
}

/** Not before the day it may be begun. */
function mayBegin({ itemId }: Pick<Alarm, 'itemId'>, at: string, { zone }: Pick<House, 'zone'>, rows: Rows): boolean {
  const item = rows.find('item', itemId);
  const start = item?.start ?? null;
  return start === null || (start.length > 10 ? start <= wallClockOf(at, zone) : start <= calendarDateOf(at, zone));
}
