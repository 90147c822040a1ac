import * as z from 'zod/mini';
import { footingsOnItem } from './may.ts';
import { MOST_ALARMS, Trigger, type Alarm, type Anchor } from '../model/alarm.ts';
import { Id, Instant } from '../model/row.ts';
import { momentOf, nextRing } from '../reminders/ringing.ts';
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

/** Sets a reminder, for oneself or for somebody it is handed to. Where its date is not set yet the wish is kept. */
export const setAlarm = commandKind({
  name: 'alarm.set',
  payload: z.object({ item: Id, person: z.optional(Id), trigger: Trigger }),
  asks: ({ item, person }, d) => [{ deed: person === undefined || person === d.actorOrNull?.id ? 'see' : 'change', item }],
  decide({ item, person, trigger }, d) {
    addAlarm(item, person ?? d.actor.id, trigger, d);
  },
});

export function addAlarm(itemId: string, personId: string, trigger: Trigger, d: Deciding, makerId = d.actor.id): void {
  const item = d.need('item', itemId);
  const person = needPerson(personId, d, 'person');
  if (footingsOnItem(item, person, d).length === 0) refuse('cannot-open-list', { name: person.name }, 'person');
  if (trigger.kind === 'absolute' && !isMoment(trigger.at)) refuse('malformed', { value: trigger.at }, 'trigger');
  const known = d.by('alarm', 'itemId', itemId).filter((alarm) => alarm.personId === personId && alarm.removedAt === null);
  if (known.some((alarm) => JSON.stringify(alarm.trigger) === JSON.stringify(trigger))) return;
  if (known.length >= MOST_ALARMS) refuse('too-many', { max: MOST_ALARMS }, 'trigger');
  const alarm = d.insert('alarm', d.newId(), {
    itemId,
    personId,
    makerId,
    trigger,
    armedAt: d.now,
    rungFor: null,
    snoozedUntil: null,
    removedAt: null,
  });
  const moment = momentOf(alarm, houseOf(d), d);
  if (moment !== null && moment <= d.now) {
    if (trigger.kind === 'absolute') refuse('alarm-past', { at: trigger.at }, 'trigger');
    d.note('alarm-past', { at: wallClockOf(moment, houseOf(d).zone) });
  }
  if (moment === null && trigger.kind === 'relative') d.note('alarm-needs-date', { to: trigger.to });
}

export const removeAlarms = commandKind({
  name: 'alarm.remove',
  payload: z.object({ alarms: z.array(Id).check(z.minLength(1), z.maxLength(60)) }),
  asks: ({ alarms }, d) => alarms.map((alarm) => ({ deed: 'self', is: isMine(alarm, d) }) as const),
  decide({ alarms }, d) {
    for (const alarm of alarms) if (d.need('alarm', alarm).removedAt === null) d.set('alarm', alarm, { removedAt: d.now });
  },
});

/** Rings again at that moment. What was told of it is read. */
export const snoozeAlarm = commandKind({
  name: 'alarm.snooze',
  payload: z.object({ alarm: Id, until: Instant }),
  asks: ({ alarm }, d) => [{ deed: 'self', is: d.find('alarm', alarm)?.personId === d.actorOrNull?.id }],
  decide({ alarm: alarmId, until }, d) {
    const alarm = d.need('alarm', alarmId);
    if (alarm.removedAt !== null) refuse('gone', { noun: 'alarm' });
    if (until <= d.now) refuse('alarm-past', { at: wallClockOf(until, houseOf(d).zone) }, 'until');
    d.set('alarm', alarmId, { snoozedUntil: until });
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
  asks: () => [{ deed: 'system' }],
  decide({ alarm: alarmId, at }, d) {
    const alarm = d.find('alarm', alarmId);
    const ring = alarm ? nextRing(alarm, houseOf(d), d) : null;
    if (!alarm || !ring || ring.at > d.now) return;
    const item = d.need('item', alarm.itemId);
    const person = d.need('person', alarm.personId);
    d.set('alarm', alarmId, {
      rungFor: latestUpToNow(alarm, d),
      snoozedUntil: alarm.snoozedUntil !== null && alarm.snoozedUntil > d.now ? alarm.snoozedUntil : null,
    });
    if (footingsOnItem(item, person, d).length === 0) return;
    d.tell(alarm.personId, 'reminder', item.id, { title: item.title, due: item.due, alarm: alarmId, late: epochOf(d.now) - epochOf(at) > LATE_MS });
  },
});

function latestUpToNow(alarm: Alarm, d: Deciding): string {
  const moments = [momentOf(alarm, houseOf(d), d), alarm.snoozedUntil].filter((at): at is string => at !== null && at <= d.now);
  return moments.reduce((a, b) => (a > b ? a : b));
}

/** After a date has moved: reminders on it move along; what would lie in the past now does not ring. */
export function rearmAlarms(itemId: string, moved: readonly Anchor[], d: Deciding, personId?: string): void {
  for (const alarm of d.by('alarm', 'itemId', itemId)) {
    if (alarm.removedAt !== null || alarm.trigger.kind !== 'relative' || !moved.includes(alarm.trigger.to)) continue;
    if (personId === undefined || alarm.personId === personId) d.set('alarm', alarm.id, { armedAt: d.now });
  }
}

const houseOf = (d: Deciding) => d.need('house', d.context.houseId);
