import { build } from 'esbuild';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { ONE_FILE } from './one-file.ts';

/** One file of the server, to be run as a process of its own. `entry`: below server/src; `outfile`: whole. */
export const bundled = (entry: string, outfile: string) =>
  build({ entryPoints: [join(__dirname, '..', entry)], outfile, ...ONE_FILE, external: [...ONE_FILE.external] });

/** A port nobody listens on. */
export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
