import { isHere, type Notice } from '@kotiva/core';
import { and, eq, ne } from 'drizzle-orm';
import { Hono } from 'hono';
import { v5, v7 } from 'uuid';
import * as z from 'zod';
import type { Env, Services } from '../context.ts';
import { pushSubscription } from '../db/schema.ts';
import { commandOf } from '../notify/acting.ts';
import type { Sent } from '../notify/messenger.ts';
import { bodyOf, Problem } from '../problem.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

const Key = z.string().regex(/^[A-Za-z0-9_-]{16,200}={0,2}$/);

/** Device notifications of the signed-in browser, a try of each channel, and what is done about a notice from outside the application. */
export function noticeRoutes(services: Services): Hono<Env> {
  const { storage, ways, vapid } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.get('/me/push', onlySignedIn, (c) => {
    const { deviceId } = c.get('signedIn');
    const on = storage.db.select().from(pushSubscription).where(eq(pushSubscription.deviceId, deviceId)).all().length > 0;
    return c.json({ publicKey: vapid.publicKey, on, simulated: services.simulatedPush, mail: ways.mail !== null });
  });

  app.post('/me/push', onlySignedIn, async (c) => {
    const { endpoint, keys } = await bodyOf(c, z.object({ endpoint: z.string().max(2000), keys: z.object({ p256dh: Key, auth: Key }) }));
    if (!isPushService(endpoint, services.simulatedPush ? services.publicUrl : null))
      throw new Problem(422, 'malformed', 'That is no address of a push service.', { field: 'endpoint' });
    const { account, deviceId } = c.get('signedIn');
    // one for each browser: whoever signs in there next takes it over
    storage.db
      .delete(pushSubscription)
      .where(and(eq(pushSubscription.deviceId, deviceId), ne(pushSubscription.endpoint, endpoint)))
      .run();
    storage.db
      .insert(pushSubscription)
      .values({ id: v7(), deviceId, accountId: account.id, endpoint, ...keys, createdAt: new Date().toISOString() })
      .onConflictDoUpdate({ target: pushSubscription.endpoint, set: { deviceId, accountId: account.id, ...keys } })
      .run();
    return c.body(null, 204);
  });

  app.delete('/me/push', onlySignedIn, (c) => {
    storage.db
      .delete(pushSubscription)
      .where(eq(pushSubscription.deviceId, c.get('signedIn').deviceId))
      .run();
    return c.body(null, 204);
  });

  app.post('/me/notices/test', onlySignedIn, async (c) => {
    const { channel } = await bodyOf(c, z.object({ channel: z.enum(['push', 'mail']) }));
    const { account, deviceId } = c.get('signedIn');
    const sent = channel === 'push' ? await tryPush(deviceId) : await tryMail(account.email);
    if (sent.outcome !== 'sent') throw new Problem(422, 'not-sent', `It could not be sent: ${sent.why}.`, { field: channel, params: { why: sent.why } });
    return c.body(null, 204);
  });

  /** Once for each notice and act: a second tap is answered with the outcome of the first. */
  app.post('/houses/:house/notices/:notice/act', onlySignedIn, async (c) => {
    const person = memberOf(c, services);
    const { act, text } = await bodyOf(c, z.object({ act: z.enum(['take', 'done', 'snooze', 'answer']), text: z.string().max(20_000).default('') }));
    const outcome = actOn(services, person.houseId, c.req.param('notice'), person.id, act, text);
    return c.json(outcome);
  });

  async function tryPush(deviceId: string): Promise<Sent> {
    const device = storage.db.select().from(pushSubscription).where(eq(pushSubscription.deviceId, deviceId)).get();
    if (!device) return { outcome: 'never', why: 'notifications are off on this device' };
    const tag = v7();
    return ways.push.send(device, {
      tag,
      title: 'Test from Kotiva',
      body: 'Notifications work on this device.',
      houseId: '',
      noticeId: tag,
      itemId: null,
      acts: [],
    });
  }

  async function tryMail(to: string): Promise<Sent> {
    if (!ways.mail) return { outcome: 'never', why: 'no mail server has been set up' };
    return ways.mail.send({
      to,
      subject: 'Test from Kotiva',
      text: `Emails from Kotiva reach you here.\n\n${services.publicUrl}`,
      messageId: `${v7()}@${ways.mailDomain}`,
    });
  }

  return app;
}

/** Does what a notice offers, as its person. */
export function actOn(
  { ledger, clock, accounts }: Services,
  houseId: string,
  noticeId: string,
  personId: string,
  act: Parameters<typeof commandOf>[1],
  text: string,
) {
  const rows = ledger.rows(houseId);
  const notice = rows.find('notice', noticeId);
  const person = rows.find('person', personId);
  if (notice === undefined || person === undefined || notice.personId !== personId || !isHere(person) || !person.accountId)
    throw new Problem(404, 'gone', 'This notice is not there any more.');
  const command = commandOf(notice as Notice, act, text, clock.now(), rows);
  if (!command) throw new Problem(422, 'malformed', 'That can’t be done about this notice.', { field: 'act' });
  if (act === 'answer' && text.trim() === '') throw new Problem(422, 'malformed', 'Write at least one word.', { field: 'text' });
  const account = accounts.byId(person.accountId)!;
  const now = clock.now();
  const id = v5(`act:${act}:${text}`, noticeId);
  const outcome = ledger.apply({ id, houseId, ...command, at: now, seen: ledger.seq(houseId) }, account);
  if (outcome.outcome === 'accepted')
    ledger.apply({ id: v5('act:read', noticeId), houseId, name: 'notice.read', payload: { notices: [noticeId] }, at: now, seen: ledger.seq(houseId) }, account);
  return outcome;
}

/** Only what a browser would give: a push service on the web, by name and encrypted; or the stand-in of this very server. */
function isPushService(endpoint: string, standIn: string | null): boolean {
  if (!URL.canParse(endpoint)) return false;
  const { protocol, hostname, origin, port } = new URL(endpoint);
  if (standIn !== null && origin === new URL(standIn).origin) return true;
  const named = /^[a-z0-9-]+(\.[a-z0-9-]+)*\.[a-z]{2,}$/i.test(hostname) && !/\.(local|internal|localhost|home|lan)$/i.test(hostname);
  return protocol === 'https:' && named && (port === '' || port === '443');
}
