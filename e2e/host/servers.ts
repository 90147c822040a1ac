import { demoServer } from '../../demo/src/demo-server.ts';
import { openServer, type OpenServer } from '../../server/src/serve.ts';
import type { Answer, Asked } from './asked.ts';

/**
 * Servers of one worker’s journeys in one process, each with its own port and data. To start a process for each would take as long as
 * what most journeys ask of it; what happens to the process itself is tried with processes.
 */
const open = new Map<number, OpenServer>();

const HOST = '127.0.0.1';

async function start({ script, port, data, begin }: Extract<Asked, { to: 'open' }>): Promise<void> {
  const own = { port, host: HOST, data, simulate: true };
  const server = await openServer(script === 'demo' ? await demoServer({ ...own, fresh: false, begin }) : { ...own, demo: false });
  open.set(port, server);
}

async function act(asked: Asked): Promise<void> {
  if (asked.to === 'open') return start(asked);
  await open.get(asked.port)!.close();
  open.delete(asked.port);
}

const answer = (what: Answer) => void process.send!(what);

process.on('message', (asked: Asked) => {
  act(asked).then(
    () => answer({ nth: asked.nth, error: null }),
    (error: unknown) => answer({ nth: asked.nth, error: String(error) }),
  );
});
process.on('disconnect', () => process.exit(0));
