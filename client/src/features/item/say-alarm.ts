import { momentOf, nextRing, wallClockOf, type Alarm, type House, type MemoryRows, type Trigger } from '@kotiva/core';
import { Temporal } from 'temporal-polyfill';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';

/** A trigger in short words: "2 days before", "1 h before the plan", "Fri 09:00". */
export function sayTrigger(trigger: Trigger, now: string, zone: string): string {
  if (trigger.kind === 'absolute') return sayMoment(trigger.at, now, zone);
  const duration = Temporal.Duration.from(trigger.offset);
  const side = duration.sign === 0 ? 'at' : duration.sign < 0 ? 'before' : 'after';
  return t(`alarm.${side}.${trigger.to}`, { how: sayDuration(duration.abs()) });
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
export function sayRing(alarm: Alarm, house: House, rows: MemoryRows, now: string): string {
  const ring = nextRing(alarm, house, rows);
  if (ring) return t('alarm.rings', { when: sayMoment(wallClockOf(ring.at, house.zone), now, house.zone) });
  const moment = momentOf(alarm, house, rows);
  if (moment === null && alarm.trigger.kind === 'relative') return t(`alarm.needs.${alarm.trigger.to}`);
  return t(moment !== null && alarm.rungFor === null && moment <= now ? 'alarm.past' : 'alarm.over');
}

/** A person's reminders of an item that are still to ring, or wait for their date. */
export const alarmsOf = (rows: MemoryRows, itemId: string, personId: string): Alarm[] =>
  rows
    .by('alarm', 'itemId', itemId)
    .filter((alarm) => alarm.personId === personId && alarm.removedAt === null)
    .sort((a, b) => (a.stamps['']?.s ?? 0) - (b.stamps['']?.s ?? 0));
