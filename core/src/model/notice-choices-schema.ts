import * as z from 'zod/mini';
import { TOPICS } from './notice-choices.ts';
import { CalendarDate, Id, WallTime, shared } from './row-schema.ts';

/** How a notice reaches somebody beside the list in the application. */
const CHANNELS = ['push', 'mail'] as const;
export const Channel = z.enum(CHANNELS);
export type Channel = z.infer<typeof Channel>;
export const Topic = z.enum(TOPICS);
export type Topic = z.infer<typeof Topic>;

/** What one person wants to be told of, by which way, and the hour of a last call for what is still open that day. Seen by nobody else. */
export const NoticeChoices = z.object({
  ...shared,
  personId: Id,
  /** Under the bell; null: everything. What is off stands in the history all the same. */
  bell: z.nullable(z.array(Topic)),
  push: z.array(Topic),
  mail: z.array(Topic),
  lastCall: z.nullable(WallTime),
  /** The day of the last one: it calls once a day. */
  calledOn: z.nullable(CalendarDate),
});
export type NoticeChoices = z.infer<typeof NoticeChoices>;
