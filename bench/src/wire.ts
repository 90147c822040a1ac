import { serve } from '@hono/node-server';
import { createParser } from 'eventsource-parser';
import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import { freePort } from './server.ts';
import { DemoPerson } from './people.ts';
import { percentile, report, timed } from './report.ts';

const ROUNDS = 300;

/** From a check-off to its acknowledgement, beside an empty POST on the same server. */
export async function checkoffAck(base: string): Promise<void> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  const part = await aino.itemForMe('Bench: check me off');
  const acks: number[] = [];
  const empty: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    empty.push(await timed(async () => (await aino.post('/api/commands', { commands: [] })).text()));
    acks.push(await timed(() => aino.send(round % 2 === 0 ? 'part.checkOff' : 'part.uncheck', part)));
  }
  for (const [name, share] of [
    ['p50', 0.5],
    ['p95', 0.95],
  ] as const)
    report(`checkoff_ack_${name}`, percentile(acks, share), 'ms', percentile(empty, share));
}

/** From a tap on one device to the row on another, beside a bare echo over server-sent events. */
export async function propagation(base: string): Promise<void> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  const petri = await DemoPerson.signIn(base, 'Petri');
  const list = (await petri.rows('list')).find((one) => one.name === 'Boathouse')!;
  const first = await aino.send('item.add', { title: 'Bench: watch me', list: list.id, persons: [aino.personId] });
  const item = (await aino.rows('item')).find((one) => one.stamps['']!.c === first)!;
  const part = { item: item.id, person: aino.personId };
  const seen = await arrivals(await petri.live(), (data) => (data.includes(part.item) ? 'row' : null));
  const took: number[] = [];
  const echoed: number[] = [];
  const echo = await startEcho();
  const echoes = await arrivals(await fetch(`${echo.base}/live`), (data) => data);
  for (let round = 0; round < ROUNDS; round++) {
    took.push(await timed(() => Promise.all([seen.next(), aino.send(round % 2 === 0 ? 'part.checkOff' : 'part.uncheck', part)])));
    echoed.push(
      await timed(() => Promise.all([echoes.next(), fetch(`${echo.base}/say`, { method: 'POST', body: `word ${round}` }).then((answer) => answer.text())])),
    );
  }
  echo.stop();
  for (const [name, share] of [
    ['p50', 0.5],
    ['p95', 0.95],
  ] as const)
    report(`propagation_${name}`, percentile(took, share), 'ms', percentile(echoed, share));
}

/** Waits for events one after the other; those that come before they are waited for are kept. */
export async function arrivals(response: Response, pick: (data: string) => string | null): Promise<{ next(): Promise<void> }> {
  let kept = 0;
  let waiting: (() => void) | null = null;
  const parser = createParser({
    onEvent({ data }) {
      if (pick(data) === null) return;
      if (waiting) waiting();
      else kept += 1;
      waiting = null;
    },
  });
  const decoder = new TextDecoder();
  void (async () => {
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) parser.feed(decoder.decode(chunk, { stream: true }));
  })().catch(() => undefined);
  return {
    next: () =>
      new Promise((done) => {
        if (kept > 0) {
          kept -= 1;
          done();
        } else waiting = done;
      }),
  };
}

export async function startEcho(): Promise<{ base: string; stop(): void }> {
  const app = new Hono();
  const listeners = new Set<(words: string) => void>();
  app.post('/say', async (c) => {
    const words = await c.req.text();
    for (const listener of listeners) listener(words);
    return c.body(null, 204);
  });
  app.get('/live', (c) =>
    streamSSE(c, async (stream) => {
      await new Promise<void>((closed) => {
        listeners.add((data) => void stream.writeSSE({ data }));
        stream.onAbort(closed);
      });
    }),
  );
  const port = await freePort();
  const server = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' });
  return {
    base: `http://127.0.0.1:${port}`,
    stop() {
      (server as unknown as { closeAllConnections(): void }).closeAllConnections();
      server.close();
    },
  };
}
