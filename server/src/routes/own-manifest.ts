import { Hono } from 'hono';
import type { Env, Services } from '../context.ts';
import { Problem } from '../problem.ts';
import { SeenRows } from '../sync/seen-rows.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

/** What can stand on a phone's first screen by itself, and where it opens. */
const PAGES = { list: 'lists', savedView: 'views' } as const;
const MOST_OF_SHORT_NAME = 12;

const ICONS = [
  { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
  { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
  { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
  { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
];

const isPage = (noun: string): noun is keyof typeof PAGES => Object.hasOwn(PAGES, noun);

/** A list or a view as something to install by itself (W3C, Web Application Manifest), for whoever sees it. */
export function ownManifestRoutes(services: Services): Hono<Env> {
  const app = new Hono<Env>();

  app.get('/houses/:house/manifest/:noun/:id', signedIn(services), (c) => {
    const person = memberOf(c, services);
    const noun = c.req.param('noun');
    const row = isPage(noun) ? new SeenRows(services.ledger.rows(person.houseId), person).find(noun, c.req.param('id')) : undefined;
    if (!isPage(noun) || !row || row.houseId !== person.houseId || row.removedAt) throw new Problem(404, 'not-found', 'This page doesn’t exist.');
    const at = `/${PAGES[noun]}/${row.id}`;
    const manifest = {
      name: row.name,
      short_name: row.name.slice(0, MOST_OF_SHORT_NAME),
      id: at,
      start_url: at,
      scope: '/',
      display: 'standalone',
      background_color: '#EEF2F0',
      theme_color: '#0F6B5A',
      icons: ICONS,
    };
    return c.body(JSON.stringify(manifest), 200, { 'Content-Type': 'application/manifest+json', 'Cache-Control': 'private, no-store' });
  });

  return app;
}
