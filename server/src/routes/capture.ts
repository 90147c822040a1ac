import { isHere, wallClockOf, type Person } from '@kotiva/core';
import { batchesOf, countOf, draftOf, readLines, settled, type CaptureContext, type Draft, type PastedLine } from '@kotiva/core/capture';
import { readLine } from '@kotiva/core/capture/read-line';
import { Hono, type Context } from 'hono';
import { v5, v7 } from 'uuid';
import * as z from 'zod';
import { networkOf } from '../auth/addresses.ts';
import type { Env, Services } from '../context.ts';
import { bodyOf, Problem } from '../problem.ts';
import { breathe, inSlices } from '../slices.ts';
import { Visibility } from '../sync/visibility.ts';
import { memberOf } from './house.ts';
import { addressOf, refuseWhileLimited } from './asker.ts';
import { signedIn } from './session.ts';

/** So many in one request: what is more is pasted in the application, where it can be stopped. */
const MOST_ITEMS = 500;
const MOST_TEXT = 200_000;

/** Adding from elsewhere with a personal key, and the keys themselves. */
export function captureRoutes(services: Services): Hono<Env> {
  const { accounts, tokens, ledger, limits } = services;
  const app = new Hono<Env>();
  const onlySignedIn = signedIn(services);

  app.get('/me/tokens', onlySignedIn, (c) => c.json({ tokens: tokens.of(c.get('signedIn').account.id) }));

  app.post('/houses/:house/tokens', onlySignedIn, async (c) => {
    const person = memberOf(c, services);
    const { name } = await bodyOf(c, z.object({ name: z.string().trim().min(1, 'Say what it is for.').max(80, 'At most 80 characters.') }));
    return c.json(tokens.make(c.get('signedIn').account.id, person.houseId, name), 201);
  });

  app.delete('/me/tokens/:id', onlySignedIn, (c) => {
    tokens.withdraw(c.get('signedIn').account.id, c.req.param('id'));
    return c.body(null, 204);
  });

  app.post('/capture', async (c) => {
    const asker = `capture ${networkOf(addressOf(c, services))}`;
    refuseWhileLimited(limits.links, asker);
    const whose = tokens.use(/^Bearer\s+(\S+)$/i.exec(c.req.header('authorization') ?? '')?.[1] ?? '');
    if (!whose) {
      limits.links.count(asker);
      throw new Problem(401, 'unknown-key', 'This key is not known. Make a new one in the settings.');
    }
    const account = accounts.byId(whose.accountId);
    const rows = ledger.rows(whose.houseId);
    const person = rows.by('person', 'accountId', whose.accountId).find(isHere);
    if (!account || !person) throw new Problem(403, 'not-a-member', 'Whose key this is is not in this house, or no longer.');
    const lines = readLines(await textOf(c));
    const count = countOf(lines);
    if (count === 0) throw new Problem(422, 'nothing-to-add', 'There is nothing to add.', { field: 'text' });
    if (count > MOST_ITEMS) throw new Problem(422, 'too-many', `At most ${MOST_ITEMS} at once.`, { field: 'text', params: { max: MOST_ITEMS } });
    const context = contextFor(services, person);
    const others = context.people.map(({ id }) => id).filter((id) => id !== person.id);
    const drafts = new Map<string, Draft>();
    await inSlices(
      (function* () {
        for (const line of textsOf(lines)) {
          drafts.set(line, draftOf(settled(line, readLine(line, context), new Set()), others));
          yield;
        }
      })(),
    );
    const batches = batchesOf(lines, (line) => drafts.get(line)!, MOST_ITEMS);
    const id = idempotent(c, account.id) ?? v7();
    const now = services.clock.now();
    for (const [nth, items] of batches.entries()) {
      const command = { id: nth === 0 ? id : v5(String(nth), id), houseId: whose.houseId, name: 'item.addMany' as const, payload: { items } };
      const outcome = ledger.apply({ ...command, at: now, seen: ledger.seq(whose.houseId) }, account);
      if (outcome.outcome === 'refused')
        throw new Problem(422, outcome.reason.code, 'It could not be added.', { field: outcome.reason.field, params: outcome.reason.params });
      await breathe();
    }
    return c.json({ id, added: batches.flat().map(({ title, under }) => ({ title, step: under !== null })) }, 201);
  });

  return app;
}

async function textOf(c: Context): Promise<string> {
  const text = /json/i.test(c.req.header('content-type') ?? '') ? (await bodyOf(c, z.object({ text: z.string() }))).text : await c.req.text();
  if (text.length > MOST_TEXT) throw new Problem(413, 'too-large', `At most ${MOST_TEXT} characters at once.`, { field: 'text', params: { max: MOST_TEXT } });
  return text;
}

function* textsOf(lines: readonly PastedLine[]): Generator<string> {
  for (const { text, steps } of lines) {
    yield text;
    yield* textsOf(steps);
  }
}

/** The same request sent twice adds once; another account's key is another. */
function idempotent(c: Context, accountId: string): string | null {
  const key = c.req.header('idempotency-key')?.trim();
  if (key === undefined) return null;
  if (key === '' || key.length > 255) throw new Problem(400, 'malformed', 'An Idempotency-Key has 1 to 255 characters.', { field: 'idempotency-key' });
  return v5(key, accountId);
}

/** What the line is read against: the names this person knows, on their day. */
function contextFor({ ledger, clock }: Services, person: Person): CaptureContext {
  const rows = ledger.rows(person.houseId);
  const sight = new Visibility(rows, person);
  const house = rows.find('house', person.houseId);
  if (house === undefined) throw new Error(`no house ${person.houseId}`);
  const [today, time] = wallClockOf(clock.now(), house.zone).split('T') as [string, string];
  return {
    today,
    time,
    dayParts: house.dayParts,
    people: rows.all('person').filter(isHere),
    places: rows.all('place').filter((place) => !place.removedAt),
    lists: rows
      .all('list')
      .filter((list) => !list.removedAt && !list.filedAt && sight.sees('list', list))
      .map((list) => ({ ...list, sections: [] })),
  };
}
