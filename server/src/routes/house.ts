import { Envelope, invitationClosed, isHere, type Invitation, type Person } from '@kotiva/core';
import { Hono, type Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import * as z from 'zod';
import type { Env, Services } from '../context.ts';
import { regions } from '../jobs/holidays.ts';
import { bodyOf, Problem } from '../problem.ts';
import type { Outcome } from '../sync/apply.ts';
import { PAGE_ROWS } from '../sync/changes.ts';
import type { LiveEvent } from '../sync/live.ts';
import { signedIn } from './session.ts';

const MOST_COMMANDS = 200;

export function houseRoutes(services: Services): Hono<Env> {
  const { ledger, feed, hub, clock } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.post('/commands', onlySignedIn, async (c) => {
    const { commands } = await bodyOf(c, z.object({ commands: z.array(z.unknown()).max(MOST_COMMANDS) }));
    const { account } = c.get('signedIn');
    const outcomes = commands.map((raw): Outcome => {
      const parsed = Envelope.safeParse(raw);
      if (!parsed.success) return malformed(raw, parsed.error.issues[0]?.path.map(String).join('.') ?? '');
      return applyOrSay(() => ledger.apply(parsed.data, account), parsed.data.id);
    });
    return c.json({ outcomes, now: clock.now() });
  });

  app.get('/houses/:house/changes', onlySignedIn, (c) => {
    const person = memberOf(c, services);
    const since = wholeNumber(c.req.query('since'), 0);
    const limit = Math.min(wholeNumber(c.req.query('limit'), PAGE_ROWS), 5_000);
    return c.json({ ...feed.page(ledger.rows(person.houseId), person, since, ledger.seq(person.houseId), Math.max(1, limit)), now: clock.now() });
  });

  app.get('/houses/:house/live', onlySignedIn, (c) => {
    const person = memberOf(c, services);
    const { account, deviceId } = c.get('signedIn');
    const since = wholeNumber(c.req.query('since'), 0);
    c.header('X-Accel-Buffering', 'no');
    return streamSSE(c, async (stream) => {
      const ended = new Promise<void>((resolve) => {
        const send = (event: LiveEvent) => {
          void stream.writeSSE({ event: event.event, data: JSON.stringify(event) });
          if (event.event === 'gone') resolve();
        };
        send({ event: 'clock', now: clock.now() });
        const close = hub.open({ accountId: account.id, deviceId, houseId: person.houseId, since }, send);
        stream.onAbort(() => {
          close();
          resolve();
        });
      });
      await ended;
    });
  });

  app.get('/regions', onlySignedIn, (c) => c.json({ regions: regions() }));

  // a link gives no title away: only the house, who invites and as what
  app.get('/invitations/:token', (c) => {
    const invitation = invitationOf(services, c.req.param('token'));
    const rows = ledger.rows(invitation.houseId);
    const house = rows.get('house', invitation.houseId);
    const maker = rows.get('person', invitation.makerId);
    if (typeof house === 'string' || typeof maker === 'string') throw unknownInvitation();
    const taken = rows
      .all('person')
      .filter(isHere)
      .map(({ mark, colour, pattern }) => ({ mark, colour, pattern }));
    return c.json({ houseId: house.id, house: house.name, by: maker.name, role: invitation.role, closed: invitationClosed(invitation, clock.now()), taken });
  });

  return app;
}

/** The person the signed-in account is in that house; whoever is not gets no hint whether it exists. */
export function memberOf(c: Context<Env>, { ledger }: Services): Person {
  const houseId = c.req.param('house') ?? '';
  const person = ledger.rows(houseId).by('person', 'accountId', c.get('signedIn').account.id).find(isHere);
  if (!person) throw new Problem(403, 'not-a-member', 'You are not in this house, or no longer.');
  return person;
}

function invitationOf({ storage, ledger }: Services, token: string): Invitation {
  const found = storage.raw.prepare('SELECT "houseId" FROM invitation WHERE token = ?').get(token) as { houseId: string } | undefined;
  const invitation = found ? ledger.rows(found.houseId).by('invitation', 'token', token)[0] : undefined;
  if (!invitation) throw unknownInvitation();
  return invitation;
}

const unknownInvitation = () => new Problem(404, 'invitation-unknown', 'This invitation is not known. Ask for a new link.');

/** A fault in one command must not hold up those behind it: it is rolled back, said, and may be given again. */
function applyOrSay(apply: () => Outcome, id: string): Outcome {
  try {
    return apply();
  } catch (error) {
    console.error(error);
    return { id, outcome: 'refused', reason: { code: 'failed', params: {} } };
  }
}

function malformed(raw: unknown, field: string): Outcome {
  const id = typeof raw === 'object' && raw !== null && 'id' in raw ? String(raw.id).slice(0, 64) : '';
  return { id, outcome: 'refused', reason: { code: 'malformed', field, params: { field } } };
}

function wholeNumber(text: string | undefined, otherwise: number): number {
  const value = Number(text ?? otherwise);
  if (!Number.isSafeInteger(value) || value < 0) throw new Problem(400, 'malformed', 'A whole number was expected.');
  return value;
}
