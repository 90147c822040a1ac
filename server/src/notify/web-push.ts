import { lookup } from 'node:dns';
import { request as requestHttp } from 'node:http';
import { request as requestHttps } from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import { eq } from 'drizzle-orm';
import webPush from 'web-push';
import { isPublic } from '../auth/addresses.ts';
import type { Db } from '../db/open.ts';
import { setting } from '../db/schema.ts';
import { SENT, type PushMessage, type PushPort, type PushTarget, type Sent } from './messenger.ts';

const KEY = 'vapid-keys';
/** So long a push service keeps what a device that is off has not fetched. */
const KEPT_S = 2 * 24 * 3600;
const PATIENCE_MS = 10_000;

export interface VapidKeys {
  publicKey: string;
  privateKey: string;
}

/** The keys this installation signs its pushes with (RFC 8292): made at the first start, kept from then on. */
export function vapidKeys(db: Db): VapidKeys {
  const known = db.select().from(setting).where(eq(setting.key, KEY)).get();
  if (known) return JSON.parse(known.value) as VapidKeys;
  const made = webPush.generateVAPIDKeys();
  db.insert(setting)
    .values({ key: KEY, value: JSON.stringify(made) })
    .run();
  return made;
}

/** Web Push (RFC 8030), encrypted for the device (RFC 8291). */
export class WebPush implements PushPort {
  constructor(
    private readonly keys: VapidKeys,
    /** `mailto:` or `https:`: whom a push service may turn to. */
    private readonly subject: string,
    /** The origin of a stand-in on this machine, the one address that need not be out on the Internet; null: there is none. */
    private readonly standIn: string | null = null,
  ) {}

  async send({ endpoint, p256dh, auth }: PushTarget, message: PushMessage): Promise<Sent> {
    try {
      const vapidDetails = { subject: this.subject, ...this.keys };
      const topic = message.tag.replaceAll('-', '');
      const request = webPush.generateRequestDetails({ endpoint, keys: { p256dh, auth } }, JSON.stringify(message), { TTL: KEPT_S, topic, vapidDetails });
      const url = new URL(request.endpoint);
      const isStandIn = this.standIn !== null && url.origin === this.standIn;
      if (!isStandIn && isIP(url.hostname.replace(/^\[|\]$/g, '')) !== 0 && !isPublic(url.hostname)) throw new NotPublic();
      const status = await post(url, request.headers as Record<string, string>, request.body as Buffer, isStandIn ? undefined : publicOnly);
      if (status >= 200 && status < 300) return SENT;
      // the device has unsubscribed, or never was
      const gone = status === 404 || status === 410;
      return { outcome: gone ? 'never' : 'later', why: `the push service answered ${status}` };
    } catch (error) {
      return { outcome: error instanceof NotPublic ? 'never' : 'later', why: (error as Error).message };
    }
  }
}

class NotPublic extends Error {
  constructor() {
    super('its address is not one on the Internet');
  }
}

/**
 * Looks a name up for this one connection, and gives only addresses that are out on the Internet: what it connects to is what was
 * looked at, whatever the name says the next time.
 */
const publicOnly: LookupFunction = (hostname, options, callback) => {
  lookup(hostname, { ...options, all: true }, (error, addresses) => {
    if (error) return callback(error, '', 0);
    if (addresses.length === 0 || !addresses.every(({ address }) => isPublic(address))) return callback(new NotPublic(), '', 0);
    if (options.all) (callback as unknown as (error: null, found: typeof addresses) => void)(null, addresses);
    else callback(null, addresses[0]!.address, addresses[0]!.family);
  });
};

/** The status it answers with. Redirects are not followed, and what it says beside is not read. */
function post(url: URL, headers: Record<string, string>, body: Buffer, through: LookupFunction | undefined): Promise<number> {
  return new Promise((resolve, reject) => {
    const request = (url.protocol === 'https:' ? requestHttps : requestHttp)(url, {
      method: 'POST',
      headers: { ...headers, 'content-length': String(body.length) },
      agent: false,
      lookup: through,
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    request.on('response', (response) => {
      resolve(response.statusCode ?? 0);
      response.destroy();
    });
    request.on('error', reject);
    request.end(body);
  });
}
