import { Hono } from 'hono';
import { AttemptLimit } from '../auth/limits.ts';
import type { Env, Services } from '../context.ts';
import { Problem } from '../problem.ts';
import { take } from './asker.ts';
import { signedIn } from './session.ts';

const MOST_WORDS = 200;
/** A look-up may be answered by somebody else's service: so many an account in so many minutes. */
const LOOK_UPS = { most: 60, minutes: 10 };
const NO_MAP = JSON.stringify({ type: 'FeatureCollection', features: [] });

/** Spots by name or address, and the drawing of the region behind the places. */
export function placeRoutes(services: Services): Hono<Env> {
  const { geocoder, map } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);
  const lookUps = new AttemptLimit(LOOK_UPS.most, LOOK_UPS.minutes);

  app.get('/geocode', onlySignedIn, async (c) => {
    const words = (c.req.query('q') ?? '').trim().slice(0, MOST_WORDS);
    if (!geocoder) throw new Problem(404, 'no-geocoder', 'No geocoder is set: choose the spot on the map.');
    const { account } = c.get('signedIn');
    take(lookUps, account.id);
    try {
      return c.json({ found: words ? await geocoder.find(words) : [] });
    } catch (cause) {
      throw new Problem(502, 'geocoder-down', 'Addresses can’t be looked up just now.', {}, cause);
    }
  });

  app.get('/map', onlySignedIn, (c) => c.body(map ?? NO_MAP, 200, { 'content-type': 'application/geo+json' }));
  return app;
}
