import * as z from 'zod/mini';
import { Id } from '../model/row-schema.ts';
import { StretchMinutes } from '../model/stretch-schema.ts';
import { doneInStretch, stretchEnds } from '../reminders/stretches.ts';
import { epochOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';

const OWN = (_payload: unknown, d: Deciding): CommandRequest[] => [{ permission: 'self', is: d.actorOrNull !== null }];

/** So long after its end it is still worth saying that it is over. */
const STILL_NEWS_MS = 10 * 60_000;

/** Begins some minutes of focused work; what was going on ends. */
export const beginStretch = commandKind({
  name: 'stretch.begin',
  payload: z.object({ minutes: StretchMinutes }),
  asks: OWN,
  decide({ minutes }, d) {
    endOwn(d);
    d.insert('stretch', d.newId(), { personId: d.actor.id, beganAt: d.now, minutes, endedAt: null });
  },
});

/** Ends what is going on before its time. */
export const endStretch = commandKind({ name: 'stretch.end', payload: z.object({}), asks: OWN, decide: (_payload, d) => endOwn(d) });

function endOwn(d: Deciding): void {
  for (const stretch of d.by('stretch', 'personId', d.actor.id)) if (stretch.endedAt === null) d.set('stretch', stretch.id, { endedAt: endBy(stretch, d) });
}

const endBy = (stretch: Parameters<typeof stretchEnds>[0], d: Deciding): string => {
  const end = stretchEnds(stretch);
  return end < d.now ? end : d.now;
};

/** Its time is over: said with how much was done. May be tried again at any time. */
export const stretchOver = commandKind({
  name: 'stretch.over',
  payload: z.object({ stretch: Id }),
  asks: () => [{ permission: 'system' }],
  decide({ stretch: id }, d) {
    const stretch = d.find('stretch', id);
    if (!stretch || stretch.endedAt !== null || stretchEnds(stretch) > d.now) return;
    d.set('stretch', id, { endedAt: stretchEnds(stretch) });
    if (epochOf(d.now) - epochOf(stretchEnds(stretch)) > STILL_NEWS_MS) return;
    d.notify(stretch.personId, 'stretch-over', null, { minutes: stretch.minutes, count: doneInStretch(stretch, d).length });
  },
});
