import { MOST_FILE_BYTES, MOST_HOUSE_BYTES } from '@kotiva/core';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono, type Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { secureHeaders } from 'hono/secure-headers';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Accounts } from './auth/accounts.ts';
import { CaptureTokens } from './auth/capture-tokens.ts';
import { TrustedProxies } from './auth/addresses.ts';
import { KnownDevices } from './auth/known-devices.ts';
import { AttemptLimit } from './auth/limits.ts';
import { realClock, SimulatedClock, type Clock } from './clock.ts';
import type { Env, Services, SignUp } from './context.ts';
import { isOfStorage } from './db/faults.ts';
import type { Storage } from './db/open.ts';
import { KeptFiles } from './files/kept-files.ts';
import type { FileLimits } from './files/house-room.ts';
import { Health, healthOf } from './health.ts';
import { Busy, Lanes } from './lanes.ts';
import { answerProblem, Problem } from './problem.ts';
import { PLANNERS } from './jobs/planners.ts';
import { Setbacks } from './jobs/setbacks.ts';
import { Timers } from './jobs/timers.ts';
import { HeldFiles } from './mail-in/held-files.ts';
import { HeldMails } from './mail-in/held-mail.ts';
import { MailIn } from './mail-in/mail-in.ts';
import { Outbox, type Ways } from './notify/outbox.ts';
import type { Geocoder } from './places/geocoder.ts';
import { Smtp } from './notify/smtp.ts';
import { vapidKeys, WebPush } from './notify/web-push.ts';
import { OutsideDesk } from './outside/desk.ts';
import { OutsideLinks } from './outside/links.ts';
import { tooLargePage } from './outside/page.ts';
import { activityRoutes } from './routes/activity.ts';
import { asPersonRoutes } from './routes/as-person.ts';
import { beyondRoutes } from './routes/beyond.ts';
import { captureRoutes } from './routes/capture.ts';
import { clockRoutes } from './routes/clock.ts';
import { houseRoutes } from './routes/house.ts';
import { fileRoomRoutes, fileRoutes } from './routes/files.ts';
import { lookingBackRoutes } from './routes/looking-back.ts';
import { invitationRoutes } from './routes/invitations.ts';
import { noticeRoutes } from './routes/notices.ts';
import { ownManifestRoutes } from './routes/own-manifest.ts';
import { placeRoutes } from './routes/places.ts';
import { heldMailRoutes } from './routes/held-mail.ts';
import { linkRoutes, outsidePages } from './routes/outside.ts';
import { remoteOf } from './routes/asker.ts';
import { sessionRoutes } from './routes/session.ts';
import { SearchIndex } from './search/search-index.ts';
import { SqliteHouses } from './db/sqlite-houses.ts';
import { Ledger } from './sync/apply.ts';
import { CommandGroups } from './sync/groups.ts';
import { ChangeFeed } from './sync/changes.ts';
import { LiveHub } from './sync/live.ts';

export interface AppOptions {
  storage: Storage;
  version: string;
  simulate?: boolean;
  demo?: boolean;
  publicUrl?: string;
  /** Who may make an account; `open` where nothing is said. */
  signUp?: SignUp;
  /** Addresses and CIDR ranges of the proxies in front, whose word about who asks is taken. */
  trustedProxies?: readonly string[];
  /** `smtp://…` or `smtps://…` of RFC 5321; without it no mail goes out. */
  smtpUrl?: string;
  /** Whether mail comes in. */
  mailIn?: boolean;
  /** The name of the receiving mail server whose Authentication-Results (RFC 8601) are believed; without it nobody's are. */
  mailTrust?: string;
  /** Behind the @ of what is sent and received; else the host of the public address. */
  mailDomain?: string;
  /** From words to spots; without it places are put on the map by hand. */
  geocoder?: Geocoder;
  /** The drawing of the region behind the places: GeoJSON as text. */
  map?: string;
  /** Stand-ins for what is outside: mounted beside the routes, with `simulatedPush` devices subscribe at one of them. */
  standIns?: (app: Hono<Env>, services: Services) => void;
  /** Memory for rows that were read or written, in megabytes; what doesn't fit is read again. */
  cacheMb?: number;
  /** Where files are kept; without it there are none. */
  filesFolder?: string;
  /** Bytes of a file and of a house's files together. */
  fileLimits?: Partial<FileLimits>;
  /** Which build this is: what another one kept of what it worked out is not believed. */
  build?: string;
  /** The exported client; without it only the API answers. */
  clientFolder?: string;
}

const MOST_BYTES = 1024 * 1024;
const MOST_BYTES_OF_STRANGERS = 16 * 1024;

export function createApp(options: AppOptions) {
  const { storage, version, simulate = false, demo = false, publicUrl = 'http://127.0.0.1', clientFolder, smtpUrl, standIns } = options;
  const simulated = simulate ? new SimulatedClock(storage.db) : null;
  const clock: Clock = simulated ?? realClock;
  const houses = new SqliteHouses(storage.raw);
  const ledger = new Ledger(houses, clock, options.cacheMb);
  const feed = new ChangeFeed(houses);
  const hub = new LiveHub(ledger, feed);
  const accounts = new Accounts(storage.db);
  const health = new Health();
  ledger.onCommit(() => health.saved());
  const mailDomain = options.mailDomain ?? domainOf(publicUrl);
  const links = new OutsideLinks(storage.db);
  const desk = new OutsideDesk(ledger, links, clock, publicUrl, mailDomain);
  const tokens = new CaptureTokens(storage.db);
  // what somebody could come back by goes in the same transaction as their access
  ledger.beside((houseId, changes, rows) => {
    for (const { noun, id, fields } of changes) {
      if (noun !== 'person' || !(fields as { endedAt?: string | null }).endedAt) continue;
      const person = rows.find('person', id);
      if (person === undefined) continue;
      if (person.accountId) tokens.withdrawOf(person.accountId, houseId);
      links.withdraw({ houseId, personId: id });
    }
  });
  const search = new SearchIndex(storage.raw);
  ledger.beside((houseId, changes, rows) => search.follow(houseId, changes, rows));
  const vapid = vapidKeys(storage.db);
  const ways: Ways = {
    push: new WebPush(vapid, publicUrl.startsWith('https:') ? publicUrl : `mailto:kotiva@${mailDomain}`, standIns ? new URL(publicUrl).origin : null),
    mail: smtpUrl ? new Smtp(smtpUrl, `"Kotiva" <kotiva@${mailDomain}>`) : null,
    outside: desk.mail,
    returnPathOf: options.mailIn ? (noticeId) => `b${links.bounceTokenOf(noticeId)}@${mailDomain}` : null,
    publicUrl,
    mailDomain,
  };
  const files = options.filesFolder
    ? new KeptFiles(storage.raw, ledger, clock, options.filesFolder, { file: MOST_FILE_BYTES, house: MOST_HOUSE_BYTES, ...options.fileLimits })
    : null;
  const services: Services = {
    storage,
    clock,
    simulated,
    accounts,
    tokens,
    ledger,
    search,
    files,
    groups: new CommandGroups(ledger),
    feed,
    hub,
    timers: new Timers(storage.raw, ledger, clock, new Setbacks(clock), PLANNERS, options.build),
    outbox: new Outbox(storage.raw, ledger, clock, ways),
    ways,
    vapid,
    links,
    desk,
    mailIn: options.mailIn
      ? new MailIn(
          ledger,
          accounts,
          links,
          desk,
          clock,
          storage.raw,
          new HeldMails(storage.db, files && new HeldFiles(files.folder)),
          options.mailTrust ?? null,
          undefined,
          files,
        )
      : null,
    mailDomain,
    simulatedPush: standIns !== undefined,
    geocoder: options.geocoder ?? null,
    map: options.map ?? null,
    health,
    knownDevices: new KnownDevices(storage.db),
    limits: {
      account: new AttemptLimit(5, 15),
      address: new AttemptLimit(30, 15),
      knownDevice: new AttemptLimit(20, 15),
      signUps: new AttemptLimit(20, 60),
      links: new AttemptLimit(30, 15),
    },
    proxies: new TrustedProxies(options.trustedProxies ?? []),
    signUp: options.signUp ?? 'open',
    demo,
    publicUrl,
  };

  const app = new Hono<Env>();
  // the address of such a page is its key: it is told to nobody
  app.use('/o/*', async (c, next) => {
    await next();
    c.header('Referrer-Policy', 'no-referrer');
  });
  const usual: Parameters<typeof secureHeaders>[0] = {
    permissionsPolicy: PERMISSIONS,
    xFrameOptions: 'DENY',
    referrerPolicy: 'same-origin',
    strictTransportSecurity: publicUrl.startsWith('https:') ? undefined : false,
  };
  const [ours, ofFiles] = [secureHeaders({ ...usual, contentSecurityPolicy: POLICY }), secureHeaders(usual)];
  // a file says itself what may be done in it: nothing
  app.use((c, next) => (OF_FILES.test(c.req.path) ? ofFiles : ours)(c, next));
  // what is sent before anybody is known to be there is small
  for (const path of ['/api/accounts', '/api/session']) app.use(path, bodyLimit({ maxSize: MOST_BYTES_OF_STRANGERS, onError: tooLarge }));
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
  const bodies = new Lanes(MOST_BODIES, MOST_BODIES_WAITING);
  app.use('/api/*', async (c, next) => {
    refuseForeign(c, services);
    // what is sent is held in memory while it is worked on: so much of it at a time
    if (hasLargeBody(c)) await bodies.run(next);
    else await next();
    c.header('Cache-Control', 'no-store');
  });
  app.get('/api/health', (c) => c.json(healthOf(services, version, lastSeq(storage))));
  app.route('/api', sessionRoutes(services));
  app.route('/api', houseRoutes(services));
  app.route('/api', invitationRoutes(services));
  app.route('/api', captureRoutes(services));
  app.route('/api', activityRoutes(services));
  app.route('/api', beyondRoutes(services));
  app.route('/api', lookingBackRoutes(services));
  app.route('/api', fileRoomRoutes(services));
  app.route('/api', asPersonRoutes(services));
  app.route('/api', noticeRoutes(services));
  app.route('/api', linkRoutes(services));
  app.route('/api', heldMailRoutes(services));
  app.route('/api', placeRoutes(services));
  app.route('/api', ownManifestRoutes(services));
  if (simulated) app.route('/api', clockRoutes(simulated, services));
  const mostOfFile = options.fileLimits?.file ?? MOST_FILE_BYTES;
  const limited = (maxSize: number) =>
    bodyLimit({
      maxSize,
      onError: (c) => {
        c.header('Connection', 'close');
        return c.html(tooLargePage(mostOfFile), 413);
      },
    });
  const [small, large] = [limited(MOST_BYTES), limited(mostOfFile + MOST_BYTES)];
  app.use('/o/*', (c, next) => (c.req.path.endsWith('/photo') ? large : small)(c, next));
  app.use('/o/*', async (c, next) => {
    refuseForeign(c, services);
    if (hasLargeBody(c)) await bodies.run(next);
    else await next();
  });
  const uploads = new Lanes(MOST_BODIES, MOST_BODIES_WAITING);
  app.use('/files/*', async (c, next) => {
    refuseForeign(c, services);
    if (c.req.method === 'PATCH' || c.req.method === 'POST') await uploads.run(next);
    else await next();
  });
  app.route('', fileRoutes(services));
  app.route('/o', outsidePages(services));
  standIns?.(app, services);
  app.all('/api/*', () => {
    throw new Problem(404, 'no-such-route', 'There is nothing at this address.');
  });
  if (clientFolder) serveClient(app, clientFolder);
  app.onError((error, c) => {
    if (error instanceof Problem) {
      // what is ours to mend is logged with what it came of; what somebody sent is theirs
      if (error.status >= 500 && error.cause !== undefined) console.error(error.cause);
      return answerProblem(c, error);
    }
    if (error instanceof Busy) return answerProblem(c, new Problem(503, 'busy', 'The server is busy. Try again in a moment.'));
    if (isOfStorage(error)) {
      health.noRoom(error);
      return answerProblem(c, new Problem(503, 'storage-full', 'The server can’t save anything just now. Nothing was changed; try again later.'));
    }
    console.error(error);
    return answerProblem(c, new Problem(500, 'failed', 'Something went wrong on the server. Nothing was changed.'));
  });
  return { app, services };
}

/** Addresses of files, also from the page of somebody outside. */
const OF_FILES = /^\/(?:files|o\/[^/]+\/files)\//;

const POLICY = {
  defaultSrc: ["'self'"],
  // react-native-web writes its rules into style elements
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  objectSrc: ["'none'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};

/** What the application asks a browser for, and nothing else. */
const PERMISSIONS = { geolocation: ['self'], microphone: ['self'], camera: [], payment: [], usb: [], serial: [], bluetooth: [], midi: [], displayCapture: [] }; // prettier-ignore

/** Requests with a body of some size at a time, and so many more that wait. */
const MOST_BODIES = 16;
const MOST_BODIES_WAITING = 128;
const LARGE_BODY = 64 * 1024;

function hasLargeBody(c: Context): boolean {
  if (c.req.method === 'GET' || c.req.method === 'HEAD') return false;
  const length = c.req.header('content-length');
  return length === undefined ? c.req.header('transfer-encoding') !== undefined : Number(length) > LARGE_BODY;
}

const tooLarge = (): never => {
  throw new Problem(413, 'too-large', 'That is more than 1 MB at once.', { params: { max: MOST_BYTES } });
};

/**
 * A browser sends Origin with every changing request: one from another site is refused whatever cookies it brings. Ours is the public
 * address, and what the browser itself asked for: the Host, or what a proxy we trust says it was. A page that tells its address to
 * nobody has no origin to send either; there the address itself says who asks, and no cookie does.
 */
function refuseForeign(c: Context, { publicUrl, proxies }: Services): void {
  const origin = c.req.header('origin');
  if (c.req.method === 'GET' || c.req.method === 'HEAD' || !origin) return;
  if (origin === 'null' && c.req.path.startsWith('/o/')) return;
  const forwarded = proxies.has(remoteOf(c)) ? c.req.header('x-forwarded-host') : undefined;
  const own = [new URL(publicUrl).host, c.req.header('host'), forwarded];
  if (!URL.canParse(origin) || !own.includes(new URL(origin).host)) throw new Problem(403, 'foreign-origin', 'This request came from another site.');
}

/** An address is no domain: mail from there is from the machine itself. */
function domainOf(publicUrl: string): string {
  const { hostname } = new URL(publicUrl);
  return /^[\d.]+$|^\[/.test(hostname) ? 'localhost' : hostname;
}

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
