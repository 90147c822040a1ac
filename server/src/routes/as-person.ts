import { isHere } from '@kotiva/core';
import { Hono } from 'hono';
import { v7 } from 'uuid';
import type { Env, Services } from '../context.ts';
import { Problem } from '../problem.ts';
import { inSlices } from '../slices.ts';
import { bothSee } from '../sync/both-see.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

/** What somebody sees, for a manager: each look is written into the history, where whoever is looked at reads of it. */
export function asPersonRoutes(services: Services): Hono<Env> {
  const { storage, ledger, groups, clock, timers } = services;
  const living = storage.raw.prepare('SELECT "itemId" AS id FROM living WHERE "houseId" = ?');
  const app = new Hono<Env>();

  app.post('/houses/:house/as/:person', signedIn(services), async (c) => {
    const manager = memberOf(c, services);
    const { houseId } = manager;
    const rows = ledger.rows(houseId);
    const person = rows.find('person', c.req.param('person'));
    if (person === undefined || person.houseId !== houseId || !isHere(person)) throw new Problem(404, 'unknown-person', 'This person isn’t in the house.');
    if (timers.rests(houseId)) throw new Problem(503, 'house-rests', 'This house can’t take changes just now.');
    const look = { id: v7(), houseId, name: 'person.lookAs', payload: { person: person.id }, at: clock.now(), seen: ledger.seq(houseId) } as const;
    const outcome = await groups.submit(look, c.get('signedIn').account);
    if (outcome.outcome === 'refused')
      throw new Problem(403, outcome.reason.code, 'You can’t look at what this person sees.', { params: outcome.reason.params as Record<string, string> });
    const openItems = (living.all(houseId) as { id: string }[]).map(({ id }) => id);
    return c.json(await inSlices(bothSee(rows, manager, person, openItems)));
  });

  return app;
}
