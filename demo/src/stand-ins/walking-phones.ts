import { isHere, type Notice } from '@kotiva/core';
import { Hono } from 'hono';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { z } from 'zod';
import type { Env, Services } from '../../../server/src/context.ts';
import { bodyOf, Problem } from '../../../server/src/problem.ts';
import { signedIn } from '../../../server/src/routes/session.ts';
import { root } from '../../../server/src/serve.ts';

const TRACKS = join(root, 'demo/region/tracks');
const Crossing = z.object({ place: z.uuid(), on: z.enum(['enter', 'leave']), silent: z.boolean() });

/** Phones that walk for the people of the demo: their tracks, and what they found reported as their people would. */
export function walkingPhones(services: Services): Hono<Env> {
  const { ledger, clock } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.get('/simulate/tracks', onlySignedIn, (c) => {
    const files = readdirSync(TRACKS).filter((file) => file.endsWith('.gpx'));
    return c.json({ tracks: files.sort().map((file) => ({ file, gpx: readFileSync(join(TRACKS, file), 'utf8') })) });
  });

  app.post('/simulate/houses/:house/phones/:person/crossings', onlySignedIn, async (c) => {
    const houseId = c.req.param('house');
    const rows = ledger.rows(houseId);
    const person = rows.find('person', c.req.param('person'));
    const asker = rows.by('person', 'accountId', c.get('signedIn').account.id).find(isHere);
    if (!asker || person === undefined || person.accountId === null) throw new Problem(404, 'unknown-person', 'There is no such phone.');
    const { place, on, silent } = await bodyOf(c, Crossing);
    const id = v7();
    const now = clock.now();
    const account = { id: person.accountId, name: person.name };
    ledger.apply({ id, houseId, name: 'visit.report', payload: { place, on, at: now, silent }, at: now, seen: ledger.seq(houseId) }, account);
    const rang = ledger
      .rows(houseId)
      .by('notice', 'personId', person.id)
      .filter((notice: Notice) => notice.stamps['']?.c === id);
    return c.json({ rang: rang.map(({ params }) => String(params['title'])) });
  });
  return app;
}
