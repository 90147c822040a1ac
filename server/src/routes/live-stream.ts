import type { HttpBindings } from '@hono/node-server';
import type { Context } from 'hono';
import type { ChangePage } from '../sync/changes.ts';
import type { LiveEvent, Sink } from '../sync/live.ts';

/** Bytes a stream may hold that its device has not read. */
const MOST_WAITING = 256 * 1024;
const LAST_WORDS: readonly LiveEvent['event'][] = ['behind', 'full', 'gone'];
/** A stream that was ended and is not read is cut off after so long. */
const CUT_OFF_MS = 5_000;

const HEADERS = { 'content-type': 'text/event-stream', 'cache-control': 'no-cache', connection: 'keep-alive', 'x-accel-buffering': 'no' };

/** Answers with server-sent events, fed by whoever is given the sink; `first` is said once it is open. */
export function liveStream(c: Context, first: LiveEvent, open: (sink: Sink) => (() => void) | LiveEvent): Response {
  let leave: (() => void) | null = null;
  const start = (stream: ReadableStreamDefaultController<Uint8Array>): void => {
    const send = (event: LiveEvent): boolean => {
      const bytes = written(event);
      // the last word may always be said
      if (bytes.length > (stream.desiredSize ?? 0) && !LAST_WORDS.includes(event.event)) return false;
      stream.enqueue(bytes);
      return true;
    };
    // once what was said last is on its way; where nobody reads, with the connection
    const close = () => {
      setTimeout(() => cutOff(c), CUT_OFF_MS).unref();
      stream.close();
    };
    const opened = open({ send, close });
    if (typeof opened === 'object') {
      send(opened);
      return close();
    }
    leave = opened;
    send(first);
  };
  const body = new ReadableStream<Uint8Array>({ start, cancel: () => leave?.() }, new ByteLengthQueuingStrategy({ highWaterMark: MOST_WAITING }));
  return c.body(body, 200, HEADERS);
}

const ENCODER = new TextEncoder();
/** A page that goes to many is written out once. */
const pages = new WeakMap<ChangePage, Uint8Array>();

/** As the HTML standard has it, section 9.2: JSON has no line ends of its own. */
function written(event: LiveEvent): Uint8Array {
  const known = event.event === 'changes' ? pages.get(event.page) : undefined;
  if (known) return known;
  const bytes = ENCODER.encode(`event: ${event.event}\ndata: ${JSON.stringify(event)}\n\n`);
  if (event.event === 'changes') pages.set(event.page, bytes);
  return bytes;
}

/** What was not read goes with the connection. */
function cutOff(c: Context): void {
  const outgoing = (c.env as Partial<HttpBindings> | undefined)?.outgoing;
  if (outgoing && !outgoing.writableFinished) outgoing.destroy();
}
