import { isHere, MemoryRows, type Person } from '@kotiva/core';
import { Envelope } from '@kotiva/core/commands';
import { Hono, type Context } from 'hono';
import * as z from 'zod';
import type { Account } from '../auth/accounts.ts';
import { isOfStorage } from '../db/faults.ts';
import type { Env, Services } from '../context.ts';
import { regions } from '../jobs/holidays.ts';
import { bodyOf, Problem } from '../problem.ts';
import { breathe } from '../slices.ts';
import type { CommandOutcome } from '../sync/apply.ts';
import { FIRST_PAGE_ROWS, FIRST_PAGES, joined, PAGE_ROWS } from '../sync/changes.ts';
import { applyInSlices } from '../sync/long.ts';
import { liveStream } from './live-stream.ts';
import { signedIn } from './session.ts';

const MOST_COMMANDS = 200;

export function houseRoutes(services: Services): Hono<Env> {
  const { ledger, groups, feed, hub, clock, timers } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.post('/commands', onlySignedIn, async (c) => {
    const { commands } = await bodyOf(c, z.object({ commands: z.array(z.unknown()).max(MOST_COMMANDS) }));
    const { account } = c.get('signedIn');
    const outcomes: CommandOutcome[] = [];
    for (const raw of commands) {
      // one command after the other, and between them whoever else waits
      if (outcomes.length > 0) await breathe();
      outcomes.push(await outcomeOf(raw, account));
    }
    return c.json({ outcomes, now: clock.now() });
  });

  function outcomeOf(raw: unknown, account: Account): CommandOutcome | Promise<CommandOutcome> {
    const parsed = FromOutside.safeParse(raw);
    if (!parsed.success) return malformed(raw, parsed.error.issues[0]?.path.map(String).join('.') ?? '');
    if (timers.rests(parsed.data.houseId))
      throw new Problem(503, 'house-rests', 'This house can’t take changes just now. What you did is kept on your device.');
    return applyOrSay(() => applyInSlices(ledger, groups, parsed.data, account), parsed.data.id);
  }

  app.get('/houses/:house/changes', onlySignedIn, async (c) => {
    const { houseId } = memberOf(c, services);
    const since = wholeNumber(c.req.query('since'), 0);
    const begins = since === 0 || c.req.query('fresh') === '1';
    const most = begins ? FIRST_PAGE_ROWS : PAGE_ROWS;
    const limit = Math.max(1, Math.min(wholeNumber(c.req.query('limit'), most), most));
    const pageAfter = (seq: number) =>
      feed.page(ledger.rows(houseId), memberOf(c, services), {
        since: seq,
        until: ledger.seq(houseId),
        from: ledger.from(houseId),
        now: clock.now(),
        begins,
        limit,
      });
    let page = pageAfter(since);
    const joins = begins && c.req.query('limit') === undefined;
    for (let others = joins ? FIRST_PAGES - 1 : 0; others > 0 && page.more; others--) {
      await breathe();
      page = joined(page, pageAfter(page.seq));
    }
    return c.json({ ...page, now: clock.now() });
  });

  app.get('/houses/:house/live', onlySignedIn, (c) => {
    const person = memberOf(c, services);
    const { account, deviceId } = c.get('signedIn');
    const since = wholeNumber(c.req.query('since'), 0);
    return liveStream(c, { event: 'clock', now: clock.now() }, (sink) => hub.open({ accountId: account.id, deviceId, houseId: person.houseId, since }, sink));
  });

  app.get('/regions', onlySignedIn, (c) => c.json({ regions: regions() }));

  return app;
}

/**
 * What comes over the wire: ids are UUIDv7, made by a device however long ago. Those of version 5 are the system's, and of what core
 * derives from others.
 */
const FromOutside = Envelope.check(
  z.refine<z.infer<typeof Envelope>>(({ id }) => version(id) === 7, { path: ['id'] }),
  z.refine<z.infer<typeof Envelope>>(({ name, houseId }) => name !== 'house.make' || version(houseId) === 7, { path: ['houseId'] }),
);
const version = (id: string): number => Number.parseInt(id[14] ?? '', 16);

const NO_HOUSE = new MemoryRows('all');

/** The person the signed-in account is in that house; whoever is not gets no hint whether it exists. */
export function memberOf(c: Context<Env>, { ledger }: Services): Person {
  const houseId = c.req.param('house') ?? '';
  const person = (ledger.exists(houseId) ? ledger.rows(houseId) : NO_HOUSE).by('person', 'accountId', c.get('signedIn').account.id).find(isHere);
  if (!person) throw new Problem(403, 'not-a-member', 'You are not in this house, or no longer.');
  return person;
}

/** A fault in one command must not hold up those behind it: it is rolled back, said, and may be given again. */
async function applyOrSay(apply: () => Promise<CommandOutcome>, id: string): Promise<CommandOutcome> {
  try {
    return await apply();
  } catch (error) {
    if (isOfStorage(error)) throw error;
    console.error(error);
    return { id, outcome: 'refused', reason: { code: 'failed', params: {} } };
  }
}

function malformed(raw: unknown, field: string): CommandOutcome {
  const id = typeof raw === 'object' && raw !== null && 'id' in raw ? String(raw.id).slice(0, 64) : '';
  return { id, outcome: 'refused', reason: { code: 'malformed', field, params: { field } } };
}

function wholeNumber(text: string | undefined, otherwise: number): number {
  const value = Number(text ?? otherwise);
  if (!Number.isSafeInteger(value) || value < 0) throw new Problem(400, 'malformed', 'A whole number was expected.');
  return value;
}
