import type { Command } from '@kotiva/core';
import * as z from 'zod/mini';
import type { Page } from '../store/house.ts';
import { TransportError, type LiveHandlers, type Outcome, type Transport } from './ports.ts';

/** A stream this quiet is taken for dead: the server beats every 15 s. */
const SILENCE_MS = 40_000;

const PageShape = z.object({
  seq: z.number(),
  more: z.boolean(),
  put: z.array(z.object({ noun: z.string(), row: z.looseObject({ id: z.string(), seq: z.number() }) })),
  evict: z.array(z.object({ noun: z.string(), id: z.string() })),
});
const OutcomesShape = z.object({
  now: z.string(),
  outcomes: z.array(
    z.discriminatedUnion('outcome', [
      z.object({ id: z.string(), outcome: z.literal('accepted'), seq: z.number(), notes: z.array(z.any()) }),
      z.object({ id: z.string(), outcome: z.literal('refused'), reason: z.any() }),
    ]),
  ),
});

/** The wire over HTTP and server-sent events. */
export function httpTransport(houseId: string, base = ''): Transport {
  const request = async (path: string, init?: RequestInit): Promise<unknown> => {
    const response = await fetch(base + path, { credentials: 'same-origin', ...init }).catch(() => {
      throw new TransportError('offline');
    });
    if (response.status === 401) throw new TransportError('signed-out');
    if (response.status === 403) throw new TransportError('not-a-member');
    if (response.status === 413) throw new TransportError('too-large');
    if (!response.ok) throw new TransportError('offline');
    return response.json();
  };
  return {
    async send(commands: readonly Command[]) {
      const body = JSON.stringify({ commands });
      const answer = await request('/api/commands', { method: 'POST', headers: { 'content-type': 'application/json' }, body });
      return z.parse(OutcomesShape, answer) as { outcomes: Outcome[]; now: string };
    },
    async changes(since) {
      const answer = await request(`/api/houses/${houseId}/changes?since=${since}`);
      return z.parse(z.extend(PageShape, { now: z.string() }), answer) as unknown as Page & { more: boolean; now: string };
    },
    live: (since, handlers) => openStream(`${base}/api/houses/${houseId}/live?since=${since}`, handlers),
  };
}

function openStream(address: string, { page, clock, gone, broken }: LiveHandlers): () => void {
  const source = new EventSource(address);
  let silence = setTimeout(dead, SILENCE_MS);
  const heard = () => {
    clearTimeout(silence);
    silence = setTimeout(dead, SILENCE_MS);
  };
  const close = () => {
    clearTimeout(silence);
    source.close();
  };
  function dead() {
    close();
    broken();
  }
  const on = (name: string, handle: (data: unknown) => void) =>
    source.addEventListener(name, (event) => {
      heard();
      handle(JSON.parse((event as MessageEvent<string>).data));
    });
  on('changes', (data) => page(z.parse(PageShape, (data as { page: unknown }).page) as unknown as Page));
  on('clock', (data) => clock(z.parse(z.object({ now: z.string() }), data).now));
  on('beat', () => undefined);
  on('gone', () => {
    close();
    gone();
  });
  source.onerror = dead;
  return close;
}
