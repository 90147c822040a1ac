import type { Fix } from './visits.ts';

/** A recorded way, played as a device would have told it. */

export interface Playing {
  /** Metres; null: as it was recorded. */
  accuracy: number | null;
  /** At least so long between two looks, in milliseconds; 0: every one. */
  gap: number;
}

/** What the device tells of a track: looks that come too soon after the last are left out, and each is as vague as was chosen. */
export function fixesTold(track: readonly Fix[], { accuracy, gap }: Playing): Fix[] {
  const told: Fix[] = [];
  for (const fix of track) {
    const last = told.at(-1);
    if (last && fix.at - last.at < gap) continue;
    told.push(accuracy === null ? fix : { ...fix, accuracy });
  }
  return told;
}
