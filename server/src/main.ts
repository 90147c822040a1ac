import { serve } from '@hono/node-server';
import { accessSync, constants, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { createApp } from './app.ts';
import { openStorage } from './db/open.ts';

const BEAT_MS = 15_000;
const here = dirname(fileURLToPath(import.meta.url));
const root = resolve(here, '../..');

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4100' },
    data: { type: 'string', default: process.env.KOTIVA_DATA ?? join(root, '.data/kotiva') },
    host: { type: 'string', default: process.env.KOTIVA_HOST ?? '127.0.0.1' },
    simulate: { type: 'boolean', default: false },
    demo: { type: 'boolean', default: false },
  },
});

start();

function start(): void {
  const port = portOf(values.port);
  const folder = writable(resolve(values.data));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(root, 'server/drizzle'));
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
  const clientFolder = join(root, 'client/dist');
  const publicUrl = process.env.KOTIVA_PUBLIC_URL ?? `http://${values.host}:${port}`;
  const { app, services } = createApp({ storage, version, publicUrl, simulate: values.simulate, demo: values.demo, clientFolder: existsSync(clientFolder) ? clientFolder : undefined });
  const server = serve({ fetch: app.fetch, port, hostname: values.host }, () => console.log(`Kotiva listens on ${publicUrl}`));
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE') stop(`Port ${port} is taken by another program. Choose another with --port or PORT.`);
    if (error.code === 'EACCES') stop(`Port ${port} may not be opened by this user. Choose one above 1023 with --port or PORT.`);
    stop(error.message);
  });
  const beat = setInterval(() => services.hub.beat(), BEAT_MS);
  const end = () => {
    clearInterval(beat);
    server.close();
    storage.close();
    process.exit(0);
  };
  process.on('SIGTERM', end);
  process.on('SIGINT', end);
}

function portOf(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) stop(`'${text}' is not a port. Give a number from 1 to 65535.`);
  return port;
}

function writable(folder: string): string {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
    return folder;
  } catch (error) {
    return stop(`The data folder ${folder} can't be written: ${(error as Error).message}. Choose another with --data or KOTIVA_DATA.`);
  }
}

function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}
