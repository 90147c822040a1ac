import type { HttpBindings } from '@hono/node-server';
import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { ChangePage } from '../sync/changes.ts';
import type { LiveEvent, Sink } from '../sync/live.ts';

/** What a stream may hold that its device has not read. */
const MOST_WAITING = 256 * 1024;
const LAST_WORDS: readonly LiveEvent['event'][] = ['behind', 'full', 'gone'];
/** A stream that was ended and is not read is cut off after so long. */
const CUT_OFF_MS = 5_000;

/** Answers with server-sent events, fed by whoever is given the sink; `first` is said once it is open. */
export function liveStream(c: Context, first: LiveEvent, open: (sink: Sink) => (() => void) | LiveEvent): Response {
  c.header('X-Accel-Buffering', 'no');
  return streamSSE(c, async (stream) => {
    let waiting = 0;
    let last: Promise<unknown> = Promise.resolve();
    await new Promise<void>((ended) => {
      const write = (event: LiveEvent): boolean => {
        const data = written(event);
        // the last word may always be said
        if (waiting + data.length > MOST_WAITING && !LAST_WORDS.includes(event.event)) return false;
        waiting += data.length;
        last = stream.writeSSE({ event: event.event, data }).then(
          () => (waiting -= data.length),
          () => undefined,
        );
        return true;
      };
      // once what was said last is on its way; where nobody reads, with the connection
      const end = () => {
        setTimeout(() => cutOff(c), CUT_OFF_MS).unref();
        void last.then(() => ended());
      };
      const opened = open({ send: write, close: end });
      if (typeof opened === 'object') {
        write(opened);
        return end();
      }
      write(first);
      stream.onAbort(() => {
        opened();
        ended();
      });
    });
  });
}

/** A page that goes to many is written out once. */
const pages = new WeakMap<ChangePage, string>();

function written(event: LiveEvent): string {
  if (event.event !== 'changes') return JSON.stringify(event);
  const known = pages.get(event.page);
  if (known !== undefined) return known;
  const data = JSON.stringify(event);
  pages.set(event.page, data);
  return data;
}

/** What was not read goes with the connection. */
function cutOff(c: Context): void {
  const outgoing = (c.env as Partial<HttpBindings> | undefined)?.outgoing;
  if (outgoing && !outgoing.writableFinished) outgoing.destroy();
}
