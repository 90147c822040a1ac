import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { secureHeaders } from 'hono/secure-headers';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Accounts } from './auth/accounts.ts';
import { CaptureTokens } from './auth/capture-tokens.ts';
import { AttemptLimit } from './auth/limits.ts';
import { realClock, SimulatedClock, type Clock } from './clock.ts';
import type { Env, Services } from './context.ts';
import type { Storage } from './db/open.ts';
import { answerProblem, Problem } from './problem.ts';
import { Timers } from './jobs/timers.ts';
import { MailIn } from './mail-in/mail-in.ts';
import { Outbox, type Ways } from './notify/outbox.ts';
import type { Geocoder } from './places/geocoder.ts';
import { Smtp } from './notify/smtp.ts';
import { vapidKeys, WebPush } from './notify/web-push.ts';
import { OutsideDesk } from './outside/desk.ts';
import { OutsideLinks } from './outside/links.ts';
import { activityRoutes } from './routes/activity.ts';
import { captureRoutes } from './routes/capture.ts';
import { clockRoutes } from './routes/clock.ts';
import { houseRoutes } from './routes/house.ts';
import { noticeRoutes } from './routes/notices.ts';
import { placeRoutes } from './routes/places.ts';
import { linkRoutes, outsidePages } from './routes/outside.ts';
import { sessionRoutes } from './routes/session.ts';
import { Ledger } from './sync/apply.ts';
import { ChangeFeed } from './sync/changes.ts';
import { LiveHub } from './sync/live.ts';

export interface AppOptions {
  storage: Storage;
  version: string;
  simulate?: boolean;
  demo?: boolean;
  publicUrl?: string;
  /** `smtp://…` or `smtps://…` of RFC 5321; without it no mail goes out. */
  smtpUrl?: string;
  /** Whether mail comes in. */
  mailIn?: boolean;
  /** Behind the @ of what is sent and received; else the host of the public address. */
  mailDomain?: string;
  /** From words to spots; without it places are put on the map by hand. */
  geocoder?: Geocoder;
  /** The drawing of the region behind the places: GeoJSON as text. */
  map?: string;
  /** Stand-ins for what is outside: mounted beside the routes, with `simulatedPush` devices subscribe at one of them. */
  standIns?: (app: Hono<Env>, services: Services) => void;
  /** The exported client; without it only the API answers. */
  clientFolder?: string;
}

const MOST_BYTES = 1024 * 1024;

export function createApp(options: AppOptions) {
  const { storage, version, simulate = false, demo = false, publicUrl = 'http://127.0.0.1', clientFolder, smtpUrl, standIns } = options;
  const simulated = simulate ? new SimulatedClock(storage.db) : null;
  const clock: Clock = simulated ?? realClock;
  const ledger = new Ledger(storage.raw, clock);
  const feed = new ChangeFeed(storage.raw);
  const hub = new LiveHub(ledger, feed);
  const accounts = new Accounts(storage.db);
  const mailDomain = options.mailDomain ?? domainOf(publicUrl);
  const links = new OutsideLinks(storage.db);
  const desk = new OutsideDesk(ledger, links, clock, publicUrl, mailDomain);
  const vapid = vapidKeys(storage.db);
  const ways: Ways = {
    push: new WebPush(vapid, publicUrl.startsWith('https:') ? publicUrl : `mailto:kotiva@${mailDomain}`),
    mail: smtpUrl ? new Smtp(smtpUrl, `"Kotiva" <kotiva@${mailDomain}>`) : null,
    outside: desk.mail,
    returnPathOf: options.mailIn ? (noticeId) => `b${links.bounceTokenOf(noticeId)}@${mailDomain}` : null,
    publicUrl,
    mailDomain,
  };
  const services: Services = {
    storage,
    clock,
    simulated,
    accounts,
    tokens: new CaptureTokens(storage.db),
    ledger,
    feed,
    hub,
    timers: new Timers(storage.raw, ledger, clock),
    outbox: new Outbox(storage.raw, ledger, clock, ways),
    ways,
    vapid,
    links,
    desk,
    mailIn: options.mailIn ? new MailIn(ledger, accounts, links, desk, clock, () => housesIn(storage)) : null,
    mailDomain,
    simulatedPush: standIns !== undefined,
    geocoder: options.geocoder ?? null,
    map: options.map ?? null,
    perAccount: new AttemptLimit(5, 15),
    perAddress: new AttemptLimit(30, 15),
    demo,
    publicUrl,
  };

  const app = new Hono<Env>();
  app.use(
    secureHeaders({
      contentSecurityPolicy: POLICY,
      xFrameOptions: 'DENY',
      referrerPolicy: 'same-origin',
      strictTransportSecurity: publicUrl.startsWith('https:') ? undefined : false,
    }),
  );
  app.use(
    '/api/*',
    bodyLimit({
      maxSize: MOST_BYTES,
      onError: (c) => {
        // what is still on its way is not read
        c.header('Connection', 'close');
        return tooLarge();
      },
    }),
  );
  app.use('/api/*', async (c, next) => {
    refuseForeign(c.req.method, c.req.header('origin'), c.req.header('host'));
    await next();
    c.header('Cache-Control', 'no-store');
  });
  app.get('/api/health', (c) => c.json({ status: 'ok', version, seq: lastSeq(storage) }));
  app.route('/api', sessionRoutes(services));
  app.route('/api', houseRoutes(services));
  app.route('/api', captureRoutes(services));
  app.route('/api', activityRoutes(services));
  app.route('/api', noticeRoutes(services));
  app.route('/api', linkRoutes(services));
  app.route('/api', placeRoutes(services));
  if (simulated) app.route('/api', clockRoutes(simulated, services));
  app.use('/o/*', bodyLimit({ maxSize: MOST_BYTES }));
  app.use('/o/*', async (c, next) => {
    refuseForeign(c.req.method, c.req.header('origin'), c.req.header('host'));
    await next();
  });
  app.route('/o', outsidePages(services));
  standIns?.(app, services);
  app.all('/api/*', () => {
    throw new Problem(404, 'no-such-route', 'There is nothing at this address.');
  });
  if (clientFolder) serveClient(app, clientFolder);
  app.onError((error, c) => {
    if (error instanceof Problem) return answerProblem(c, error);
    console.error(error);
    return answerProblem(c, new Problem(500, 'failed', 'Something went wrong on the server. Nothing was changed.'));
  });
  return { app, services };
}

const POLICY = {
  defaultSrc: ["'self'"],
  // react-native-web writes its rules into style elements
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  objectSrc: ["'none'"],
  baseUri: ["'none'"],
  frameAncestors: ["'none'"],
};

const tooLarge = (): never => {
  throw new Problem(413, 'too-large', 'That is more than 1 MB at once.', { params: { max: MOST_BYTES } });
};

/** A browser sends Origin with every changing request: one from another site is refused whatever cookies it brings. */
function refuseForeign(method: string, origin: string | undefined, host: string | undefined): void {
  if (method === 'GET' || method === 'HEAD' || !origin) return;
  if (!URL.canParse(origin) || new URL(origin).host !== host) throw new Problem(403, 'foreign-origin', 'This request came from another site.');
}

/** An address is no domain: mail from there is from the machine itself. */
function domainOf(publicUrl: string): string {
  const { hostname } = new URL(publicUrl);
  return /^[\d.]+$|^\[/.test(hostname) ? 'localhost' : hostname;
}

const housesIn = ({ raw }: Storage): string[] => (raw.prepare('SELECT "houseId" FROM sequence').all() as { houseId: string }[]).map(({ houseId }) => houseId);

const lastSeq = ({ raw }: Storage): number => (raw.prepare('SELECT COALESCE(MAX(seq), 0) AS seq FROM sequence').get() as { seq: number }).seq;

/** Files as built, compressed beforehand; every other address is the application itself. */
function serveClient(app: Hono<Env>, folder: string): void {
  const index = readFileSync(join(folder, 'index.html'), 'utf8');
  app.use('/_expo/*', async (c, next) => {
    await next();
    c.header('Cache-Control', 'public, max-age=31536000, immutable');
  });
  app.use('*', serveStatic({ root: folder, precompressed: true }));
  app.get('*', (c) => (/\.[a-z0-9]+$/i.test(c.req.path) ? c.notFound() : c.html(index, 200, { 'Cache-Control': 'no-cache' })));
}
