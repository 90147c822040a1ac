import type { Alarm } from '../model/alarm.ts';

/** What begins without a clock: a situation is so from now on, or a device is opened. */
export type Occasion = { kind: 'device'; device: string } | { kind: 'situation'; situation: string };

/** Whether a reminder of this person waits for it. That of a device rings once. */
export function waitsFor({ trigger, personId, removedAt, rungFor }: Alarm, occasion: Occasion, forId: string): boolean {
  if (removedAt !== null || personId !== forId) return false;
  if (trigger.kind === 'device') return occasion.kind === 'device' && trigger.device === occasion.device && rungFor === null;
  return trigger.kind === 'situation' && occasion.kind === 'situation' && trigger.situation === occasion.situation;
}
