import type { Alarm, PlaceTrigger } from '../model/alarm.ts';
import { addDays, instantAt, wallClockOf } from '../time/clock.ts';

/** A reminder that coming to a place, or leaving it, brings up. */
export type PlaceAlarm = Alarm & { trigger: PlaceTrigger };
export const isPlaceAlarm = (alarm: Alarm): alarm is PlaceAlarm => alarm.trigger.kind === 'place';

/** The moment at which it rings though nobody was seen to leave; null: there is none, or it has rung. */
export function fallbackMoment({ trigger, armedAt, rungFor }: PlaceAlarm, due: string | null, zone: string): string | null {
  if (trigger.fallback === null || rungFor !== null) return null;
  const [today, hour] = wallClockOf(armedAt, zone).split('T') as [string, string];
  const first = trigger.fallback > hour ? today : addDays(today, 1);
  const date = due !== null && due.slice(0, 10) > first ? due.slice(0, 10) : first;
  return instantAt(`${date}T${trigger.fallback}`, zone);
}

/** Whom a reminder may ring for. */
export const ringsFor = (alarm: Alarm): readonly string[] => (isPlaceAlarm(alarm) && alarm.trigger.who !== 'own' ? alarm.trigger.among : [alarm.personId]);
