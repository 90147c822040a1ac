import { Hono } from 'hono';
import * as z from 'zod';
import type { SimulatedClock } from '../clock.ts';
import { bodyOf, Problem } from '../problem.ts';
import type { LiveHub } from '../sync/live.ts';

const Move = z.union([z.object({ now: z.iso.datetime({ offset: true }) }), z.object({ advance: z.iso.duration() })]);

/** The simulated clock: read, set, moved on. These routes exist only with `--simulate`. */
export function clockRoutes(clock: SimulatedClock, hub: LiveHub): Hono {
  const app = new Hono();
  app.get('/simulate/clock', (c) => c.json({ now: clock.now() }));
  app.post('/simulate/clock', async (c) => {
    const move = await bodyOf(c, Move);
    const moved = 'now' in move ? clock.moveTo(new Date(move.now).toISOString()) : clock.advance(move.advance);
    if (!moved) throw new Problem(422, 'clock-backwards', 'The clock only goes forward.', { params: { now: clock.now() } });
    hub.tellTime(clock.now());
    return c.json({ now: clock.now() });
  });
  return app;
}
