import { fork, type ChildProcess } from 'node:child_process';
import { get } from 'node:http';
import { join } from 'node:path';
import { report } from './report.ts';

const STREAMS = 1_000;
/** Of one account only so many are open. */
const PEOPLE = 50;

/** Memory of a stream that is open and says nothing, beside one of Hono’s own. */
export async function idleStreams(): Promise<void> {
  report('idle_stream_kb', await kilobytesEach('ours'), 'kB', await kilobytesEach('bare'));
}

async function kilobytesEach(which: 'ours' | 'bare'): Promise<number> {
  const child = fork(join(import.meta.dirname, 'streams-child.ts'), [which, String(PEOPLE)], { execArgv: ['--import', 'tsx'] });
  const { port, cookies, path } = await answer<{ port: number; cookies: string[]; path: string }>(child);
  const before = await bytesOf(child);
  for (let nth = 0; nth < STREAMS; nth++) await opened(`http://127.0.0.1:${port}${path}`, cookies[nth % PEOPLE]!);
  const after = await bytesOf(child);
  child.disconnect();
  return (after - before) / STREAMS / 1_000;
}

const answer = <T>(child: ChildProcess): Promise<T> => new Promise((resolve) => child.once('message', (said) => resolve(said as T)));

function bytesOf(child: ChildProcess): Promise<number> {
  const said = answer<{ bytes: number }>(child);
  child.send('memory');
  return said.then(({ bytes }) => bytes);
}

/** Once its first words have come. */
const opened = (url: string, cookie: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const request = get(url, { headers: { cookie }, agent: false }, (response) => {
      if (response.statusCode !== 200) reject(new Error(`${url}: ${response.statusCode}`));
      response.once('data', () => resolve());
    });
    // the other end goes when all are open
    request.on('error', reject);
  });
