import { eq } from 'drizzle-orm';
import webPush from 'web-push';
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
  ) {}

  async send({ endpoint, p256dh, auth }: PushTarget, message: PushMessage): Promise<Sent> {
    try {
      const vapidDetails = { subject: this.subject, ...this.keys };
      const topic = message.tag.replaceAll('-', '');
      const request = webPush.generateRequestDetails({ endpoint, keys: { p256dh, auth } }, JSON.stringify(message), { TTL: KEPT_S, topic, vapidDetails });
      const response = await fetch(request.endpoint, {
        method: request.method,
        headers: request.headers as Record<string, string>,
        body: new Uint8Array(request.body as Buffer),
        redirect: 'error',
        signal: AbortSignal.timeout(PATIENCE_MS),
      });
      if (response.ok) return SENT;
      // the device has unsubscribed, or never was
      const gone = response.status === 404 || response.status === 410;
      return { outcome: gone ? 'never' : 'later', why: `the push service answered ${response.status}` };
    } catch (error) {
      return { outcome: 'later', why: (error as Error).message };
    }
  }
}
