import { createServer } from 'node:net';

/**
 * A port of this machine nobody listens on: below those the system hands out by itself, so that none is taken between looking and
 * listening.
 */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = 20_000 + Math.floor(Math.random() * 12_000);
    if (await isFree(port)) return port;
  }
}

const isFree = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
