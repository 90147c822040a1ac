import type { Rows } from '../reader/finding.ts';
import { counts, isDone } from '../followup/standing.ts';
import type { Alarm } from '../model/alarm.ts';
import type { House } from '../model/house.ts';
import type { Part } from '../model/part.ts';
import { isHere } from '../model/person.ts';
import { earliestFirst } from '../time/earliest-first.ts';
import { alarmMoment, anchorDates } from './alarm-moment.ts';
import { fallbackMoment, isPlaceAlarm, ringsFor } from './place-alarm.ts';

/** When a reminder rings. */
export interface Ring {
  alarmId: string;
  /** UTC instant; in the past where nothing ran at its time. */
  at: string;
}

/** The moment a reminder hangs on now, whether or not it will ring; null where its date is not set. */
export function momentOf(alarm: Alarm, house: Pick<House, 'zone' | 'dayParts'>, rows: Rows): string | null {
  const item = rows.find('item', alarm.itemId);
  if (item === undefined) return null;
  if (isPlaceAlarm(alarm)) return fallbackMoment(alarm, item.due, house.zone);
  const { trigger } = alarm;
  const hangsOnPlan = trigger.kind === 'relative' && trigger.to === 'plan';
  return alarmMoment(trigger, anchorDates(item, hangsOnPlan ? partOf(item.id, alarm.personId, rows) : null), house);
}

/** When a reminder rings next, or null: it has rung, its date is not set or past when it was set, or there is nothing left to do. */
export function nextRing(alarm: Alarm, house: Pick<House, 'zone' | 'dayParts'>, rows: Rows): Ring | null {
  if (alarm.removedAt !== null || hasRungForGood(alarm)) return null;
  const own = momentOf(alarm, house, rows);
  const moments = [own !== null && own > alarm.armedAt ? own : null, alarm.snoozedUntil].filter(
    (at): at is string => at !== null && (alarm.rungFor === null || at > alarm.rungFor),
  );
  // most that ever were have rung, so that who it rings for need not be looked up
  if (moments.length === 0 || !ringsFor(alarm).some((id) => isStillToDo(alarm, id, rows))) return null;
  return { alarmId: alarm.id, at: moments.reduce((a, b) => (a < b ? a : b)) };
}

/** Its moment doesn't move, and it wasn't put off. */
const hasRungForGood = ({ trigger, rungFor, snoozedUntil }: Alarm): boolean => trigger.kind === 'absolute' && rungFor !== null && snoozedUntil === null;

/** The next ring of each reminder of a house that will ring, earliest first. */
export function ringsAhead(house: Pick<House, 'zone' | 'dayParts'>, rows: Rows): Ring[] {
  const found = rows.all('alarm').flatMap((alarm) => nextRing(alarm, house, rows) ?? []);
  return earliestFirst(found, ({ alarmId }) => alarmId);
}

/** None after it is done: for who has a part, their own; for who only looks on, the whole. */
export function isStillToDo({ itemId }: Pick<Alarm, 'itemId'>, personId: string, rows: Rows): boolean {
  const item = rows.find('item', itemId);
  const person = rows.find('person', personId);
  if (item === undefined || item.removedAt !== null || person === undefined || !isHere(person)) return false;
  const part = partOf(itemId, personId, rows);
  if (part && (!counts(part) || part.standing === 'completed' || part.standing === 'declined')) return false;
  return !isDone(item, rows.by('part', 'itemId', item.id));
}

const partOf = (itemId: string, personId: string, rows: Rows): Part | null =>
  rows.by('part', 'itemId', itemId).find((part) => part.personId === personId) ?? null;
