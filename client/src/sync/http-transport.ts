import type { Command } from '@kotiva/core';
import { changesOf, takeAhead } from './asked-ahead.ts';
import { TransportError, type LiveHandlers, type Transport } from './ports.ts';
import { readChanges, readClock, readOutcomes, readPage } from './wire.ts';

/** A stream this quiet is taken for dead: the server beats every 15 s. */
const SILENCE_MS = 40_000;

/** The wire over HTTP and server-sent events. */
export function httpTransport(houseId: string, base = ''): Transport {
  const request = async (path: string, init?: RequestInit): Promise<unknown> => {
    const asked = takeAhead(base + path) ?? fetch(base + path, { credentials: 'same-origin', ...init });
    const response = await asked.catch(() => {
      throw new TransportError('offline');
    });
    if (response.status === 401) throw new TransportError('signed-out');
    if (response.status === 403) throw new TransportError('not-a-member');
    if (response.status === 413) throw new TransportError('too-large');
    if (response.status === 503 || response.status === 429) throw new TransportError('not-now', await codeOf(response));
    if (!response.ok) throw new TransportError('offline');
    return response.json();
  };
  return {
    async send(commands: readonly Command[]) {
      const body = JSON.stringify({ commands });
      return readOutcomes(await request('/api/commands', { method: 'POST', headers: { 'content-type': 'application/json' }, body }));
    },
    async changes(since, fresh) {
      return readChanges(await request(changesOf(houseId, since, fresh)));
    },
    async beyond(query) {
      return readPage(await request(`/api/houses/${houseId}/beyond?${query}`));
    },
    live: (since, handlers) => openStream(`${base}/api/houses/${houseId}/live?since=${since}`, handlers),
  };
}

/** The code of the problem details (RFC 9457) it answered with. */
const codeOf = async (response: Response): Promise<string | null> => {
  const said = (await response.json().catch(() => null)) as { code?: unknown } | null;
  return typeof said?.code === 'string' ? said.code : null;
};

function openStream(address: string, { page, clock, gone, behind, full, broken }: LiveHandlers): () => void {
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
  on('changes', (data) => page(readPage((data as { page: unknown }).page)));
  on('clock', (data) => clock(readClock(data)));
  on('beat', () => undefined);
  const last = (name: string, handle: () => void) =>
    on(name, () => {
      close();
      handle();
    });
  last('gone', gone);
  last('behind', behind);
  last('full', full);
  source.onerror = dead;
  return close;
}
