import { serve } from '@hono/node-server';
import { COLOURS, PATTERNS } from '@kotiva/core';
import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import { mkdtempSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { v7 } from 'uuid';
import { createApp } from '../../server/src/app.ts';
import { openStorage } from '../../server/src/db/open.ts';
import { ROOT } from './server.ts';

/** A server whose memory is asked for: Kotiva with a house of many accounts, or nothing but streams that stay open. */
const [which, peopleText] = process.argv.slice(2) as ['ours' | 'bare', string];

setFlagsFromString('--expose-gc');
const gc = runInNewContext('gc') as () => void;

function house(people: number) {
  const storage = openStorage(join(mkdtempSync(join(tmpdir(), 'kotiva-streams-')), 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  const { app, services } = createApp({ storage, version: 'bench' });
  const houseId = v7();
  const now = services.clock.now();
  const token = 'bench'.padEnd(40, 'x');
  const cookies = Array.from({ length: people }, (_, nth) => {
    const [id, name] = [v7(), `Person ${nth}`];
    storage.raw
      .prepare("INSERT INTO account (id, email, name, \"passwordHash\", theme, \"createdAt\") VALUES (?, ?, ?, '', 'device', '')")
      .run(id, `p${nth}@kaislaranta.example`, name);
    const give = (command: string, payload: unknown) => {
      const outcome = services.ledger.apply({ id: v7(), houseId, name: command as never, payload, at: now, seen: 1e9 }, { id, name });
      if (outcome.outcome === 'refused') throw new Error(`${command}: ${outcome.reason.code}`);
    };
    // marks of two letters, so that each has one of their own
    const mark = String.fromCharCode(65 + Math.floor(nth / 26), 97 + (nth % 26));
    const looks = { name, mark, colour: COLOURS[nth % COLOURS.length]!, pattern: PATTERNS[nth % PATTERNS.length]! };
    if (nth === 0) {
      give('house.make', { name: 'Bench', zone: 'Europe/Helsinki', person: looks });
      give('invitation.make', { role: 'member', uses: 'several', token });
    } else give('person.join', { token, ...looks });
    return `kotiva_session=${services.accounts.signIn(id, 'bench')}`;
  });
  return { fetch: app.fetch, cookies, path: `/api/houses/${houseId}/live?since=${services.ledger.seq(houseId)}` };
}

function bare(people: number) {
  const app = new Hono();
  app.get('/live', (c) =>
    streamSSE(c, async (stream) => {
      await stream.writeSSE({ event: 'clock', data: 'now' });
      await new Promise((resolve) => stream.onAbort(() => resolve(null)));
    }),
  );
  return { fetch: app.fetch, cookies: Array.from({ length: people }, () => ''), path: '/live' };
}

const { fetch, cookies, path } = which === 'ours' ? house(Number(peopleText)) : bare(Number(peopleText));
serve({ fetch, port: 0, hostname: '127.0.0.1' }, ({ port }: AddressInfo) => process.send!({ port, cookies, path }));
process.on('message', () => {
  gc();
  const { heapUsed, external } = process.memoryUsage();
  process.send!({ bytes: heapUsed + external });
});
process.on('disconnect', () => process.exit(0));
