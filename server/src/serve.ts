import { serve } from '@hono/node-server';
import { accessSync, constants, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp, type AppOptions } from './app.ts';
import { openStorage, type Storage } from './db/open.ts';
import { listenForMail } from './mail-in/mail-in.ts';

const BEAT_MS = 15_000;
/** How late what happens by itself may be. */
const TIMERS_MS = 1_000;
const SENDING_MS = 2_000;
export const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');

export interface ServeOptions {
  port: number;
  host: string;
  /** Folder of the database; made if it is not there. */
  data: string;
  simulate: boolean;
  demo: boolean;
  publicUrl?: string;
  smtpUrl?: string;
  /** Where mail comes in; without it none does. */
  smtpInPort?: number;
  mailDomain?: string;
  geocoder?: AppOptions['geocoder'];
  map?: string;
  standIns?: AppOptions['standIns'];
  /** Runs before the first request is answered. */
  fill?: (storage: Storage) => Promise<void>;
}

/** Opens the data, starts answering, and ends cleanly on SIGTERM and SIGINT. What stands in the way is said in a sentence. */
export async function startServer({ port, host, data, publicUrl = `http://${host}:${port}`, fill, smtpInPort, ...options }: ServeOptions): Promise<void> {
  const folder = writable(resolve(data));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(root, 'server/drizzle'));
  await fill?.(storage);
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
  const clientFolder = join(root, 'client/dist');
  const { app, services } = createApp({
    ...options,
    storage,
    version,
    publicUrl,
    mailIn: smtpInPort !== undefined,
    clientFolder: existsSync(clientFolder) ? clientFolder : undefined,
  });
  const beat = setInterval(() => services.hub.beat(), BEAT_MS);
  // what fell due while nothing ran is sent once, before the first request
  services.timers.run();
  const timing = setInterval(() => orSay(() => services.timers.run()), TIMERS_MS);
  const sending = setInterval(() => void services.outbox.run().catch((error: unknown) => console.error(error)), SENDING_MS);
  const mail = services.mailIn && smtpInPort !== undefined ? listenForMail(services.mailIn, services.mailDomain) : null;
  mail?.listen(smtpInPort, host);
  const server = serve({ fetch: app.fetch, port, hostname: host });
  const end = () => {
    clearInterval(beat);
    clearInterval(timing);
    clearInterval(sending);
    mail?.close();
    server.close();
    storage.close();
    process.exit(0);
  };
  process.on('SIGTERM', end);
  process.on('SIGINT', end);
  await new Promise<void>((listening) => {
    server.on('listening', listening);
    server.on('error', (error: NodeJS.ErrnoException) => stop(sayListenError(error, port)));
  });
  console.log(`Kotiva listens on ${publicUrl}`);
}

/** What goes wrong by itself is said, and tried again the next time: nobody's request ends for it. */
function orSay(task: () => unknown): void {
  try {
    task();
  } catch (error) {
    console.error(error);
  }
}

function sayListenError(error: NodeJS.ErrnoException, port: number): string {
  if (error.code === 'EADDRINUSE') return `Port ${port} is taken by another program. Choose another with --port or PORT.`;
  if (error.code === 'EACCES') return `Port ${port} may not be opened by this user. Choose one above 1023 with --port or PORT.`;
  return error.message;
}

export function portOf(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) stop(`'${text}' is not a port. Give a number from 1 to 65535.`);
  return port;
}

export function writable(folder: string): string {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
    return folder;
  } catch (error) {
    return stop(`The data folder ${folder} can't be written: ${(error as Error).message}. Choose another with --data or KOTIVA_DATA.`);
  }
}

/** Says what is in the way, and ends. */
export function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}
