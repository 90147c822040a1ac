import { Temporal } from 'temporal-polyfill';
import type { Anchor, Trigger } from '../model/alarm.ts';
import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { instantAt, instantOf } from '../time/clock.ts';

/** The three dates a reminder may hang on: calendar dates, or wall-clock moments. */
export type AnchorDates = Record<Anchor, string | null>;

export const anchorDates = (item: Pick<Item, 'due' | 'start'>, part: Pick<Part, 'plan'> | null): AnchorDates => ({
  due: item.due,
  start: item.start,
  plan: part?.plan ?? null,
});

/**
 * The instant a trigger stands for, or null where the date it hangs on is not set, or no clock decides it. Days and weeks are calendar days at the same
 * wall-clock time, hours and minutes are exact (RFC 5545 3.3.6); of a duration with both, the days come first. A date without an hour
 * counts from the house's morning.
 */
export function alarmMoment(trigger: Trigger, dates: AnchorDates, { zone, dayParts }: Pick<House, 'zone' | 'dayParts'>): string | null {
  if (trigger.kind === 'absolute') return instantAt(trigger.at, zone);
  if (trigger.kind !== 'relative') return null;
  const date = dates[trigger.to];
  if (date === null) return null;
  const { weeks, days, hours, minutes } = Temporal.Duration.from(trigger.offset);
  const anchor = Temporal.PlainDateTime.from(date.length > 10 ? date : `${date}T${dayParts.morning}`);
  const sameHour = anchor.add({ weeks, days }).toZonedDateTime(zone, { disambiguation: 'compatible' });
  return instantOf(sameHour.toInstant().add({ hours, minutes }).epochMilliseconds);
}
