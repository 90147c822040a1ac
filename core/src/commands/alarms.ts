import * as z from 'zod/mini';
import { relationsToItem } from '../access/relations.ts';
import { MOST_ALARMS, onArriving, type Alarm, type Anchor, type PlaceTrigger } from '../model/alarm.ts';
import { Trigger } from '../model/alarm-schema.ts';
import type { Item } from '../model/item.ts';
import type { Person } from '../model/person.ts';
import { seesPlace } from '../model/place.ts';
import { Id, Instant } from '../model/row-schema.ts';
import { isPlaceAlarm, ringsFor } from '../reminders/place-alarm.ts';
import { fallbackFor } from '../reminders/place-rings.ts';
import { isStillToDo, momentOf, nextRing } from '../reminders/ringing.ts';
import { epochOf, isMoment, wallClockOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** A reminder that comes so much after its time says so. */
const LATE_MS = 5 * 60_000;

const isMine = (alarmId: string, d: Deciding): boolean => {
  const alarm = d.find('alarm', alarmId);
  return alarm !== undefined && d.actorOrNull !== null && (alarm.personId === d.actorOrNull.id || alarm.makerId === d.actorOrNull.id);
};

/** Of a chore: each time it comes, for whoever has it then. */
const EVERY_TIME = z._default(z.boolean(), false);

const isSame = (a: Trigger, b: Trigger): boolean => JSON.stringify(a) === JSON.stringify(b);

function ofItsChore(itemId: string, change: (alarms: Trigger[]) => Trigger[], d: Deciding): void {
  const { seriesId } = d.need('item', itemId);
  if (seriesId !== null) d.set('series', seriesId, { alarms: change(d.need('series', seriesId).alarms).slice(-MOST_ALARMS) });
}

/** Sets a reminder, for oneself or for somebody it is handed to. Where its date is not set yet the wish is kept. */
export const setAlarm = commandKind({
  name: 'alarm.set',
  payload: z.object({ item: Id, person: z.optional(Id), trigger: Trigger, everyTime: EVERY_TIME }),
  asks: ({ item, person, everyTime }, d) => [
    { permission: person === undefined || person === d.actorOrNull?.id ? 'see' : 'change', item },
    ...(everyTime ? [{ permission: 'change', item } as const] : []),
  ],
  decide({ item, person, trigger, everyTime }, d) {
    addAlarm(item, person ?? d.actor.id, trigger, d);
    if (everyTime) ofItsChore(item, (alarms) => (alarms.some((one) => isSame(one, trigger)) ? alarms : [...alarms, trigger]), d);
  },
});

export function addAlarm(itemId: string, personId: string, trigger: Trigger, d: Deciding, makerId = d.actor.id): void {
  const item = d.need('item', itemId);
  const person = needPerson(personId, d, 'person');
  if (relationsToItem(item, person, d).length === 0) refuse('cannot-open-list', { name: person.name }, 'person');
  if (trigger.kind === 'absolute' && !isMoment(trigger.at)) refuse('malformed', { value: trigger.at }, 'trigger');
  if (trigger.kind === 'situation') d.need('situation', trigger.situation);
  if (trigger.kind === 'place') refuseUnseen(trigger, item, person, d);
  const all = d.by('alarm', 'itemId', itemId).filter((alarm) => alarm.removedAt === null);
  const known = all.filter((alarm) => alarm.personId === personId);
  // one for several is there once, whoever set it
  const same = trigger.kind === 'place' && trigger.who !== 'own' ? all : known;
  if (same.some((alarm) => isSame(alarm.trigger, trigger))) return;
  if (known.length >= MOST_ALARMS) refuse('too-many', { max: MOST_ALARMS }, 'trigger');
  const alarm = d.insert('alarm', d.newId(), {
    itemId,
    personId,
    makerId,
    trigger,
    armedAt: d.now,
    rungFor: null,
    rungById: null,
    snoozedUntil: null,
    removedAt: null,
  });
  const moment = momentOf(alarm, d.house, d);
  if (moment !== null && moment <= d.now) {
    if (trigger.kind === 'absolute') refuse('alarm-past', { at: trigger.at }, 'trigger');
    d.note('alarm-past', { at: wallClockOf(moment, d.house.zone) });
  }
  if (moment === null && trigger.kind === 'relative') d.note('alarm-needs-date', { to: trigger.to });
}

/** Whom it is to ring for sees the place, and the item. */
function refuseUnseen(trigger: PlaceTrigger, item: Item, person: Person, d: Deciding): void {
  const place = d.need('place', trigger.place);
  if (place.removedAt !== null) refuse('gone', { noun: 'place' });
  for (const one of trigger.who === 'own' ? [person] : trigger.among.map((id) => needPerson(id, d, 'trigger'))) {
    if (!seesPlace(place, one.id)) refuse('place-unseen', { name: one.name, place: place.name }, 'trigger');
    if (relationsToItem(item, one, d).length === 0) refuse('cannot-open-list', { name: one.name }, 'trigger');
  }
}

export const removeAlarms = commandKind({
  name: 'alarm.remove',
  payload: z.object({ alarms: z.array(Id).check(z.minLength(1), z.maxLength(60)), everyTime: EVERY_TIME }),
  asks: ({ alarms, everyTime }, d) =>
    alarms.flatMap((id) => {
      const alarm = d.find('alarm', id);
      const ask = { permission: 'self', is: isMine(id, d) } as const;
      return everyTime && alarm ? [ask, { permission: 'change', item: alarm.itemId } as const] : [ask];
    }),
  decide({ alarms, everyTime }, d) {
    for (const id of alarms) {
      const { removedAt, itemId, trigger } = d.need('alarm', id);
      if (removedAt === null) d.set('alarm', id, { removedAt: d.now });
      if (everyTime) ofItsChore(itemId, (all) => all.filter((one) => !isSame(one, trigger)), d);
    }
  },
});

/** Rings again at that moment, or when one gets to a place. What was told of it is read. */
export const snoozeAlarm = commandKind({
  name: 'alarm.snooze',
  payload: z.object({ alarm: Id, until: z.optional(Instant), place: z.optional(Id) }),
  asks({ alarm: id }, d) {
    const alarm = d.find('alarm', id);
    return [{ permission: 'self', is: alarm !== undefined && d.actorOrNull !== null && ringsFor(alarm).includes(d.actorOrNull.id) }];
  },
  decide({ alarm: alarmId, until, place }, d) {
    const alarm = d.need('alarm', alarmId);
    if (alarm.removedAt !== null) refuse('gone', { noun: 'alarm' });
    if ((until === undefined) === (place === undefined)) refuse('malformed', { field: 'until' }, 'until');
    if (place !== undefined) addAlarm(alarm.itemId, d.actor.id, onArriving(place), d);
    else if (until! <= d.now) refuse('alarm-past', { at: wallClockOf(until!, d.house.zone) }, 'until');
    // of one for several it is put off for oneself alone
    else if (alarm.personId !== d.actor.id) addAlarm(alarm.itemId, d.actor.id, { kind: 'absolute', at: wallClockOf(until!, d.house.zone) }, d);
    else d.set('alarm', alarmId, { snoozedUntil: until });
    for (const notice of d.by('notice', 'personId', d.actor.id))
      if (notice.kind === 'reminder' && notice.itemId === alarm.itemId && notice.readAt === null) d.set('notice', notice.id, { readAt: d.now });
  },
});

/**
 * A reminder's time has come. What was done, removed or moved meanwhile does not ring; moments that passed while nothing ran are told
 * as one. May be tried again at any time.
 */
export const ringAlarm = commandKind({
  name: 'alarm.ring',
  payload: z.object({ alarm: Id, at: Instant }),
  asks: () => [{ permission: 'system' }],
  decide({ alarm: alarmId, at }, d) {
    const alarm = d.find('alarm', alarmId);
    const ring = alarm ? nextRing(alarm, d.house, d) : null;
    if (!alarm || !ring || ring.at > d.now) return;
    const item = d.need('item', alarm.itemId);
    const people = isPlaceAlarm(alarm) && !alarm.snoozedUntil ? fallbackFor(alarm, d) : [alarm.personId];
    d.set('alarm', alarmId, {
      rungFor: latestUpToNow(alarm, d),
      snoozedUntil: alarm.snoozedUntil !== null && alarm.snoozedUntil > d.now ? alarm.snoozedUntil : null,
    });
    for (const person of people.map((id) => d.need('person', id))) {
      if (relationsToItem(item, person, d).length === 0 || !isStillToDo(alarm, person.id, d)) continue;
      d.notify(person.id, 'reminder', item.id, { title: item.title, due: item.due, alarm: alarmId, late: epochOf(d.now) - epochOf(at) > LATE_MS });
    }
  },
});

function latestUpToNow(alarm: Alarm, d: Deciding): string {
  const moments = [momentOf(alarm, d.house, d), alarm.snoozedUntil].filter((at): at is string => at !== null && at <= d.now);
  return moments.reduce((a, b) => (a > b ? a : b));
}

/** After a date has moved: reminders on it move along; what would lie in the past now does not ring. */
export function rearmAlarms(itemId: string, moved: readonly Anchor[], d: Deciding, personId?: string): void {
  for (const alarm of d.by('alarm', 'itemId', itemId)) {
    if (alarm.removedAt !== null || alarm.trigger.kind !== 'relative' || !moved.includes(alarm.trigger.to)) continue;
    if (personId === undefined || alarm.personId === personId) d.set('alarm', alarm.id, { armedAt: d.now });
  }
}
