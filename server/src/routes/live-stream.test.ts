import { Hono } from 'hono';
import type { ChangePage } from '../sync/changes.ts';
import type { LiveEvent, Sink } from '../sync/live.ts';
import { liveStream } from './live-stream.ts';

const CLOCK: LiveEvent = { event: 'clock', now: '2026-12-01T10:00:00.000Z' };
const page = (bytes: number): LiveEvent => ({
  event: 'changes',
  page: { seq: 1, from: 0, put: [], evict: [], more: false, note: 'x'.repeat(bytes) } as unknown as ChangePage,
});

/** A stream as a device gets it, and what feeds it. */
async function opened(answer: LiveEvent | null = null) {
  let sink: Sink | null = null;
  let isLeft = false;
  const app = new Hono().get('/', (c) =>
    liveStream(c, CLOCK, (given) => {
      sink = given;
      return answer ?? (() => void (isLeft = true));
    }),
  );
  const response = await app.request('/');
  const reader = response.body!.getReader();
  const rest = async (): Promise<string> => {
    let text = '';
    for (let part = await reader.read(); !part.done; part = await reader.read()) text += new TextDecoder().decode(part.value);
    return text;
  };
  return { response, reader, rest, sink: sink as unknown as Sink, left: () => isLeft };
}
const namesIn = (text: string): string[] => [...text.matchAll(/^event: (\w+)$/gm)].map(([, name]) => name!);

test('events come in their order, each as the standard has it', async () => {
  const { response, sink, rest } = await opened();
  expect(response.headers.get('content-type')).toBe('text/event-stream');
  sink.send(page(10));
  sink.send({ event: 'beat' });
  sink.close();
  const text = await rest();
  expect(namesIn(text)).toEqual(['clock', 'changes', 'beat']);
  expect(text.split('\n\n')[0]).toBe(`event: clock\ndata: ${JSON.stringify(CLOCK)}`);
});

test('who does not read is told no more than there is room for, and the last word still comes', async () => {
  const { sink, rest } = await opened();
  let taken = 0;
  while (sink.send(page(50_000))) taken += 1;
  expect(taken).toBe(5);
  expect(sink.send({ event: 'behind' })).toBe(true);
  sink.close();
  expect(namesIn(await rest())).toEqual(['clock', ...Array.from({ length: taken }, () => 'changes'), 'behind']);
});

test('what is read makes room again; who goes is left', async () => {
  const { sink, reader, left } = await opened();
  while (sink.send(page(50_000))) continue;
  for (let read = 0; read < 6; read++) await reader.read();
  expect(sink.send(page(50_000))).toBe(true);
  expect(left()).toBe(false);
  await reader.cancel();
  expect(left()).toBe(true);
});

test('where it can’t be opened that is said, and it ends', async () => {
  const { rest } = await opened({ event: 'behind' });
  expect(namesIn(await rest())).toEqual(['behind']);
});
