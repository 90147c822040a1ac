import { isPlaceAlarm, momentOf, nextRing, wallClockOf, WEEKDAYS, type Alarm, type House, type Reader, type PlaceTrigger, type Trigger } from '@kotiva/core';
import { Temporal } from 'temporal-polyfill';
import { either, t, together } from '@/words';
import { sayHour } from '@/words/customs.ts';
import { sayMoment, sayWeekday } from '@/words/dates.ts';
import { nameOf } from './knot-of.ts';

/** What reminders are worded with. */
export interface SayingAlarms {
  rows: Reader;
  now: string;
  zone: string;
}

/** A trigger in short words: "2 days before", "1 h before the plan", "Fri 09:00", "at Quay". */
export function sayTrigger(trigger: Trigger, { rows, now, zone }: SayingAlarms): string {
  switch (trigger.kind) {
    case 'absolute':
      return sayMoment(trigger.at, now, zone);
    case 'relative': {
      const duration = Temporal.Duration.from(trigger.offset);
      const side = duration.sign === 0 ? 'at' : duration.sign < 0 ? 'before' : 'after';
      return t(`alarm.${side}.${trigger.to}`, { how: sayDuration(duration.abs()) });
    }
    case 'place':
      return sayPlaceTrigger(trigger, rows);
    case 'device':
      return t('alarm.device', { device: trigger.name });
    case 'situation': {
      const situation = rows.find('situation', trigger.situation);
      return t('alarm.situation', { name: situation === undefined ? '' : situation.name });
    }
  }
}

function sayPlaceTrigger({ place: placeId, on, who, from, until, days, fallback }: PlaceTrigger, rows: Reader): string {
  const place = rows.find('place', placeId);
  const name = place === undefined ? t('alarm.somewhere') : place.name;
  const when = [
    days && days.length < WEEKDAYS.length ? t('alarm.onDays', { days: together(days.map((day) => sayWeekday(WEEKDAYS.indexOf(day) + 1))) }) : null,
    from && until
      ? t('alarm.between', { from: sayHour(from), until: sayHour(until) })
      : from
        ? t('alarm.after', { from: sayHour(from) })
        : until
          ? t('alarm.until', { until: sayHour(until) })
          : null,
    fallback ? t('alarm.fallback', { hour: sayHour(fallback) }) : null,
  ].filter(Boolean);
  return [t(`alarm.${on}.${who}`, { place: name }), ...when].join(', ');
}

/** With whom it is for, where that is not oneself. */
export function sayTriggerFor({ trigger, personId }: Alarm, { me, ...saying }: SayingAlarms & { me: { id: string } }): string {
  const words = sayTrigger(trigger, saying);
  const whom =
    trigger.kind === 'place' && trigger.who !== 'own'
      ? either(trigger.among.map((id) => nameOf(saying.rows, id)))
      : personId === me.id
        ? null
        : nameOf(saying.rows, personId);
  return whom ? t('alarm.forWhom', { what: words, whom }) : words;
}

function sayDuration({ weeks, days, hours, minutes }: Temporal.Duration): string {
  const parts = [
    weeks ? t('span.weeks', { count: weeks }) : null,
    days ? t('span.days', { count: days }) : null,
    hours ? t('span.hours', { count: hours }) : null,
    minutes ? t('span.minutes', { count: minutes }) : null,
  ];
  return parts.filter(Boolean).join(' ');
}

/** When a reminder rings, as people say it, or why it does not. */
export function sayRing(alarm: Alarm, house: House, rows: Reader, now: string): string {
  const ring = nextRing(alarm, house, rows);
  if (ring) return t('alarm.rings', { when: sayMoment(wallClockOf(ring.at, house.zone), now, house.zone) });
  if (alarm.trigger.kind === 'place') return t('alarm.everyVisit');
  if (alarm.trigger.kind === 'situation') return t('alarm.everyBeginning');
  if (alarm.trigger.kind === 'device') return t(alarm.rungFor ? 'alarm.over' : 'alarm.onceOpened');
  const moment = momentOf(alarm, house, rows);
  if (moment === null && alarm.trigger.kind === 'relative') return t(`alarm.needs.${alarm.trigger.to}`);
  return t(moment !== null && alarm.rungFor === null && moment <= now ? 'alarm.past' : 'alarm.over');
}

/** A person's reminders of an item that are still to ring, or wait for their date; those for several count for each of them. */
export const alarmsOf = (rows: Reader, itemId: string, personId: string): Alarm[] =>
  rows
    .by('alarm', 'itemId', itemId)
    .filter((alarm) => alarm.removedAt === null && (alarm.personId === personId || (isPlaceAlarm(alarm) && alarm.trigger.among.includes(personId))))
    .sort((a, b) => (a.stamps['']?.s ?? 0) - (b.stamps['']?.s ?? 0));

/** The same with those one set for somebody else: both see them. */
export function alarmsSeenBy(rows: Reader, itemId: string, personId: string): Alarm[] {
  const own = alarmsOf(rows, itemId, personId);
  const forOthers = rows.by('alarm', 'itemId', itemId).filter((alarm) => alarm.removedAt === null && alarm.makerId === personId && !own.includes(alarm));
  return [...own, ...forOthers];
}

/** Whether it can still ring, by the clock or otherwise. */
export const isToRing = (alarm: Alarm, house: House, rows: Reader): boolean =>
  nextRing(alarm, house, rows) !== null ||
  alarm.trigger.kind === 'place' ||
  alarm.trigger.kind === 'situation' ||
  (alarm.trigger.kind === 'device' && !alarm.rungFor);
