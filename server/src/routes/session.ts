import type { Context } from 'hono';
import { Hono } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { createMiddleware } from 'hono/factory';
import { getConnInfo } from '@hono/node-server/conninfo';
import * as z from 'zod';
import type { Account } from '../auth/accounts.ts';
import { deviceLabel } from '../auth/label.ts';
import type { Env, Services } from '../context.ts';
import { bodyOf, Problem } from '../problem.ts';

const COOKIE = 'kotiva_session';
const STAY_SIGNED_IN_S = 400 * 86_400;

const Email = z
  .string()
  .trim()
  .max(254)
  .pipe(z.email({ error: 'That does not look like an e-mail address.' }));
const Password = z.string().min(8, 'At least 8 characters.').max(200, 'At most 200 characters.');
const PersonName = z.string().trim().min(1, 'A name is needed.').max(80, 'At most 80 characters.');

/** Lets through only requests of a signed-in browser. */
export const signedIn = ({ accounts }: Services) =>
  createMiddleware<Env>(async (c, next) => {
    const secret = getCookie(c, COOKIE);
    const found = secret ? accounts.bySecret(secret) : null;
    if (!found) throw new Problem(401, 'signed-out', 'You are signed out here. Sign in to go on.');
    c.set('signedIn', found);
    await next();
  });

export function sessionRoutes(services: Services): Hono<Env> {
  const { accounts, hub, perAccount, perAddress } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.post('/accounts', async (c) => {
    const { email, password, name } = await bodyOf(c, z.object({ email: Email, password: Password, name: PersonName }));
    refuseWhileLimited(perAddress, `new ${addressOf(c)}`);
    const made = await accounts.create(email, password, name);
    if (!made) {
      perAddress.count(`new ${addressOf(c)}`);
      throw new Problem(409, 'email-taken', 'There is an account with this address already. Sign in instead.', { field: 'email' });
    }
    startSession(c, services, made);
    return c.json({ account: made }, 201);
  });

  app.post('/session', async (c) => {
    const { email, password } = await bodyOf(c, z.object({ email: z.string().trim().max(254), password: z.string().max(200) }));
    const key = email.toLowerCase();
    refuseWhileLimited(perAccount, key);
    refuseWhileLimited(perAddress, addressOf(c));
    const account = await accounts.check(email, password);
    if (!account) {
      perAccount.count(key);
      perAddress.count(addressOf(c));
      throw new Problem(401, 'wrong-password', 'Address and password do not belong together.', { field: 'password' });
    }
    perAccount.succeeded(key);
    startSession(c, services, account);
    return c.json({ account });
  });

  app.delete('/session', onlySignedIn, (c) => {
    const { account, deviceId } = c.get('signedIn');
    const everywhere = c.req.query('everywhere') === '1';
    accounts.signOut(account.id, everywhere ? null : deviceId);
    hub.signOut(account.id, everywhere ? null : deviceId);
    deleteCookie(c, COOKIE, { path: '/' });
    return c.body(null, 204);
  });

  app.get('/me', onlySignedIn, (c) => {
    const { account, deviceId } = c.get('signedIn');
    return c.json({
      account,
      deviceId,
      houses: housesOf(services, account.id),
      now: services.clock.now(),
      simulated: services.simulated !== null,
      demo: services.demo,
    });
  });

  app.patch('/me', onlySignedIn, async (c) => {
    const fields = await bodyOf(c, z.object({ name: PersonName.optional(), theme: z.enum(['device', 'light', 'dark']).optional() }));
    accounts.change(c.get('signedIn').account.id, fields);
    return c.json({ account: accounts.byId(c.get('signedIn').account.id) });
  });

  app.post('/me/password', onlySignedIn, async (c) => {
    const { account, deviceId } = c.get('signedIn');
    const { current, password } = await bodyOf(c, z.object({ current: z.string().max(200), password: Password }));
    refuseWhileLimited(perAccount, account.email);
    if (!(await accounts.check(account.email, current))) {
      perAccount.count(account.email);
      throw new Problem(422, 'wrong-password', 'That is not your present password.', { field: 'current' });
    }
    const others = accounts.devices(account.id).filter(({ id }) => id !== deviceId);
    await accounts.changePassword(account.id, password, deviceId);
    for (const { id } of others) hub.signOut(account.id, id);
    return c.body(null, 204);
  });

  app.get('/me/devices', onlySignedIn, (c) => {
    const { account, deviceId } = c.get('signedIn');
    return c.json({ devices: accounts.devices(account.id).map((device) => ({ ...device, here: device.id === deviceId })) });
  });

  app.patch('/me/devices/:id', onlySignedIn, async (c) => {
    const { label } = await bodyOf(c, z.object({ label: z.string().trim().min(1).max(80) }));
    accounts.nameDevice(c.get('signedIn').account.id, c.req.param('id'), label);
    return c.body(null, 204);
  });

  app.delete('/me/devices/:id', onlySignedIn, (c) => {
    const { account } = c.get('signedIn');
    accounts.signOut(account.id, c.req.param('id'));
    hub.signOut(account.id, c.req.param('id'));
    return c.body(null, 204);
  });

  if (services.demo) {
    app.get('/demo/people', (c) => c.json({ people: accounts.all().map(({ id, name, email }) => ({ id, name, email, houses: housesOf(services, id) })) }));
    app.post('/demo/session', async (c) => {
      const { account: id } = await bodyOf(c, z.object({ account: z.uuid() }));
      const account = accounts.byId(id) ?? null;
      if (!account) throw new Problem(404, 'unknown-account', 'There is no such demo person.');
      startSession(c, services, account);
      return c.json({ account });
    });
  }
  return app;
}

/** The houses an account is a person of, with what it needs to show them side by side. */
export function housesOf({ storage }: Services, accountId: string): { houseId: string; name: string; personId: string; role: string }[] {
  return storage.raw
    .prepare(
      'SELECT house.id AS "houseId", house.name AS name, person.id AS "personId", person.role AS role FROM person JOIN house ON house.id = person."houseId" WHERE person."accountId" = ? AND person."endedAt" IS NULL ORDER BY person."joinedAt", house.id',
    )
    .all(accountId)
    .map((row) => {
      const { houseId, name, personId, role } = row as Record<string, string>;
      return { houseId: houseId!, name: name!, personId: personId!, role: role! };
    });
}

function startSession(c: Context, { accounts, publicUrl }: Services, account: Account): void {
  const secret = accounts.signIn(account.id, deviceLabel(c.req.header('user-agent')));
  const secure = publicUrl.startsWith('https:');
  setCookie(c, COOKIE, secret, { httpOnly: true, sameSite: 'Lax', secure, path: '/', maxAge: STAY_SIGNED_IN_S });
}

export function refuseWhileLimited(limit: { wait(key: string): number }, key: string): void {
  const minutes = limit.wait(key);
  if (minutes > 0) throw new Problem(429, 'too-many-attempts', `Too many attempts. Try again in ${minutes} min.`, { params: { minutes } });
}

export function addressOf(c: Context): string {
  try {
    return getConnInfo(c).remote.address ?? 'unknown';
  } catch {
    return 'unknown';
  }
}
