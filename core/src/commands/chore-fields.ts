import { OFF_DAY_SHIFTS } from '../model/off-day-shift.ts';
import * as z from 'zod/mini';
import { MOST_ALARMS } from '../model/alarm.ts';
import { Trigger } from '../model/alarm-schema.ts';
import { Policy } from '../model/nature-schema.ts';
import { ChoreStart, Id, Text, Title } from '../model/row-schema.ts';
import type { Series } from '../model/series.ts';
import { AfterDone, Missed, RRuleText, TurnKind } from '../model/series-schema.ts';
import { isMoment } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { contextOf, NATURE } from './item-fields.ts';
import type { CommandRequest } from './required-permissions.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** The steps each of a chore begins with. */
export const MOST_STEPS = 60;

/** What a chore says of itself, beside where it lies. */
export const CHORE = {
  title: z.optional(Title),
  notes: z.optional(Text),
  policy: z.optional(Policy),
  confirm: z.optional(z.boolean()),
  steps: z.optional(z.array(Title).check(z.maxLength(MOST_STEPS))),
  alarms: z.optional(z.array(Trigger).check(z.maxLength(MOST_ALARMS))),
  rrule: z.optional(z.nullable(RRuleText)),
  afterDone: z.optional(z.nullable(AfterDone)),
  dtstart: z.optional(ChoreStart),
  offDay: z.optional(z.enum(OFF_DAY_SHIFTS)),
  missed: z.optional(Missed),
  whenDone: z.optional(z.boolean()),
  turn: z.optional(TurnKind),
  persons: z.optional(z.array(Id).check(z.maxLength(60))),
  ...NATURE,
};
type ChoreFields = z.infer<z.ZodMiniObject<typeof CHORE>>;

export function fieldsOf({ persons, tags, situations, place, ...fields }: ChoreFields, d: Deciding): Partial<Series> {
  if (fields.dtstart !== undefined && !isMoment(fields.dtstart)) refuse('malformed', { value: fields.dtstart }, 'dtstart');
  if (fields.turn !== undefined && fields.turn !== 'fixed' && persons?.length === 0) refuse('malformed', { field: 'persons' }, 'persons');
  return { ...fields, ...contextOf({ tags, situations, place }, d), personIds: persons?.map((id) => needPerson(id, d).id) };
}

/** A chore of one's own pile is its maker's; one of a list is changed by who may change things there. */
export function askToChange(series: Series | undefined, d: Deciding): CommandRequest {
  if (series?.listId) return { permission: 'change', list: series.listId };
  return { permission: 'self', is: series !== undefined && series.makerId === d.actorOrNull?.id };
}
export const ofSeries = { asks: ({ series }: { series: string }, d: Deciding): CommandRequest[] => [askToChange(d.need('series', series), d)] };
