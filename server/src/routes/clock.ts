import { LAST_YEAR } from '@kotiva/core';
import { Hono } from 'hono';
import * as z from 'zod';
import type { SimulatedClock } from '../clock.ts';
import type { Services } from '../context.ts';
import { bodyOf, Problem } from '../problem.ts';

const Move = z.union([z.object({ now: z.iso.datetime({ offset: true }) }), z.object({ advance: z.iso.duration() })]);

const LAST = `${LAST_YEAR}-12-31T00:00:00.000Z`;

/** The simulated clock: read, set, moved on. These routes exist only with `--simulate`. */
export function clockRoutes(clock: SimulatedClock, { hub, timers, outbox }: Pick<Services, 'hub' | 'timers' | 'outbox'>): Hono {
  const app = new Hono();
  const nextAt = async (): Promise<string | null> => {
    const [due, mail] = [await timers.nextAtInSlices(), outbox.nextAt()];
    return due !== null && (mail === null || due < mail) ? due : mail;
  };
  /** A duration beyond what a calendar can hold is as far as it goes. */
  const after = (duration: string): string => {
    try {
      return clock.after(duration);
    } catch {
      return `${LAST_YEAR + 1}`;
    }
  };
  app.get('/simulate/clock', (c) => c.json({ now: clock.now() }));
  app.post('/simulate/clock', async (c) => {
    const move = await bodyOf(c, Move);
    const target = 'now' in move ? new Date(move.now).toISOString() : after(move.advance);
    if (!(target <= LAST)) throw new Problem(422, 'clock-too-far', `The clock goes up to ${LAST_YEAR}.`, { params: { last: LAST_YEAR } });
    if (target < clock.now()) throw new Problem(422, 'clock-backwards', 'The clock only goes forward.', { params: { now: clock.now() } });
    // what falls due on the way happens at its time, one after the other
    for (let at = await nextAt(); at !== null && at <= target; at = await nextAt()) {
      clock.moveTo(at);
      const happened = (await timers.runInSlices()) + (await outbox.run());
      if (happened === 0 && (await nextAt()) === at) break;
    }
    clock.moveTo(target);
    await outbox.run();
    hub.tellTime(clock.now());
    return c.json({ now: clock.now() });
  });
  return app;
}
