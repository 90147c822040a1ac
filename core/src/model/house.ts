import type { DayParts } from './house-schema.ts';

export type { DayParts, Pace, DayOff, Holidays, House } from './house-schema.ts';

/** `calm`: at the deadline and less often after it; `off`: never by itself. */
export const PACES = ['usual', 'calm', 'off'] as const;

export const USUAL_DAY_PARTS: DayParts = { morning: '06:00', day: '10:00', evening: '17:00' };

/** Where one works until noon and again after it, and the evening begins when the doors close. */
export const BUSINESS_DAY_PARTS: DayParts = { morning: '07:00', day: '12:00', evening: '18:00' };
