import type { Context } from 'hono';
import { Hono } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { createMiddleware } from 'hono/factory';
import * as z from 'zod';
import { invitationClosed } from '@kotiva/core';
import { SESSION_DAYS, type Account } from '../auth/accounts.ts';
import { networkOf } from '../auth/addresses.ts';
import { LONGEST_PASSWORD, passwordFault, SHORTEST_PASSWORD, type PasswordFault } from '../auth/passwords.ts';
import { deviceLabel } from '../auth/label.ts';
import type { Env, Services } from '../context.ts';
import { bodyOf, Problem } from '../problem.ts';
import { addressOf, refuseWhileLimited, take } from './asker.ts';
import { invitationWith } from './invitations.ts';

const COOKIE = 'kotiva_session';
const KNOWN_COOKIE = 'kotiva_known';
const DAY_S = 86_400;

const Email = z
  .string()
  .trim()
  .max(254)
  .pipe(z.email({ error: 'That does not look like an email address.' }));
const PersonName = z.string().trim().min(1, 'A name is needed.').max(80, 'At most 80 characters.');
/** What is typed as a password; whether it may be one is said with a sentence of its own. */
const TypedPassword = z.string().max(1_000);

/** Lets through only requests of a signed-in browser. */
export const signedIn = (services: Services) =>
  createMiddleware<Env>(async (c, next) => {
    const secret = getCookie(c, COOKIE);
    const found = secret ? services.accounts.bySecret(secret) : null;
    if (!found) throw new Problem(401, 'signed-out', 'You are signed out here. Sign in to go on.');
    c.set('signedIn', found);
    if (found.renewed) giveCookie(c, services, secret!);
    await next();
  });

export function sessionRoutes(services: Services): Hono<Env> {
  const { accounts, tokens, hub, knownDevices, limits } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.get('/sign-up', (c) => c.json({ signUp: services.signUp }));

  app.post('/accounts', async (c) => {
    const said = await bodyOf(c, z.object({ email: Email, password: TypedPassword, name: PersonName, invitation: z.string().max(100).optional() }));
    refuseSignUp(services, said.invitation);
    refuseBadPassword(said.password, said.email);
    // counted before the work, which is what it protects
    take(limits.signUps, networkOf(addressOf(c, services)));
    const made = await accounts.create(said.email, said.password, said.name);
    if (!made) throw new Problem(409, 'email-taken', 'There is an account with this address already. Sign in instead.', { field: 'email' });
    startSession(c, services, made);
    return c.json({ account: made }, 201);
  });

  app.post('/session', async (c) => {
    const { email, password } = await bodyOf(c, z.object({ email: z.string().trim().max(254), password: TypedPassword }));
    const settle = takeGuess(c, email.toLowerCase());
    const account = await accounts.check(email, password);
    if (!account) throw new Problem(401, 'wrong-password', 'Address and password do not belong together.', { field: 'password' });
    settle();
    startSession(c, services, account);
    return c.json({ account });
  });

  /**
   * A guess is counted before the password is looked at, so that many at once are no way round. Wrong ones slow down the network they
   * come from and the devices the account does not know; a device it knows counts for itself. Returns what to do when it was right.
   */
  function takeGuess(c: Context, email: string): () => void {
    const accountId = accounts.idOf(email);
    const known = getCookie(c, KNOWN_COOKIE);
    if (accountId !== null && knownDevices.knows(accountId, known)) {
      const key = `${accountId} ${known}`;
      take(limits.knownDevice, key);
      return () => limits.knownDevice.succeeded(key);
    }
    const network = networkOf(addressOf(c, services));
    refuseWhileLimited(limits.account, email);
    take(limits.address, network);
    take(limits.account, email);
    return () => {
      limits.account.succeeded(email);
      limits.address.refund(network);
    };
  }

  app.delete('/session', onlySignedIn, (c) => {
    const { account, deviceId } = c.get('signedIn');
    const everywhere = c.req.query('everywhere') === '1';
    accounts.signOut(account.id, everywhere ? null : deviceId);
    hub.signOut(account.id, everywhere ? null : deviceId);
    if (everywhere) {
      knownDevices.forgetAll(account.id);
      tokens.withdrawAllBut(account.id, Keys.parse(c.req.queries('keep') ?? []));
      deleteCookie(c, KNOWN_COOKIE, { path: '/' });
    }
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
    const { current, password, keepKeys } = await bodyOf(c, z.object({ current: TypedPassword, password: TypedPassword, keepKeys: Keys.default([]) }));
    refuseBadPassword(password, account.email);
    take(limits.knownDevice, account.id);
    if (!(await accounts.check(account.email, current))) throw new Problem(422, 'wrong-password', 'That is not your current password.', { field: 'current' });
    limits.knownDevice.succeeded(account.id);
    const others = accounts.devices(account.id).filter(({ id }) => id !== deviceId);
    await accounts.changePassword(account.id, password, deviceId);
    tokens.withdrawAllBut(account.id, keepKeys);
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

const Keys = z.array(z.uuid()).max(100).catch([]);

function startSession(c: Context, services: Services, account: Account): void {
  const { accounts, knownDevices, publicUrl } = services;
  giveCookie(c, services, accounts.signIn(account.id, deviceLabel(c.req.header('user-agent'))));
  const known = knownDevices.remember(account.id, getCookie(c, KNOWN_COOKIE));
  setCookie(c, KNOWN_COOKIE, known, { httpOnly: true, sameSite: 'Lax', secure: publicUrl.startsWith('https:'), path: '/api', maxAge: 400 * DAY_S });
}

/** Renewed by use: a browser forgets it when the sign-in would have ended. */
function giveCookie(c: Context, { publicUrl }: Services, secret: string): void {
  setCookie(c, COOKIE, secret, { httpOnly: true, sameSite: 'Lax', secure: publicUrl.startsWith('https:'), path: '/', maxAge: SESSION_DAYS * DAY_S });
}

/** Who may make an account here: everybody, who holds an invitation, or nobody. */
function refuseSignUp(services: Services, token: string | undefined): void {
  if (services.signUp === 'closed') throw new Problem(403, 'sign-up-closed', 'New accounts can’t be made here.');
  if (services.signUp === 'open') return;
  const invitation = token === undefined ? null : invitationWith(services, token);
  if (!invitation || invitationClosed(invitation, services.clock.now()) !== null)
    throw new Problem(403, 'sign-up-invited', 'You need an invitation to make an account here. Open the link you were sent.');
}

function refuseBadPassword(password: string, email: string): void {
  const fault = passwordFault(password, email);
  if (fault) throw new Problem(422, fault, PASSWORD_FAULTS[fault], { field: 'password', params: { min: SHORTEST_PASSWORD, max: LONGEST_PASSWORD } });
}

const PASSWORD_FAULTS: Record<PasswordFault, string> = {
  'password-short': `Use at least ${SHORTEST_PASSWORD} characters.`,
  'password-long': `Use at most ${LONGEST_PASSWORD} characters.`,
  'password-common': 'Many people use this password. Choose another.',
  'password-address': 'Your address can’t be your password.',
};
