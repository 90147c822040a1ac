import { serve } from '@hono/node-server';
import { existsSync, readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { basename, dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp, type AppOptions } from './app.ts';
import type { Services, SignUp } from './context.ts';
import { isOfStorage } from './db/faults.ts';
import { keepPrivate, takeFolder, Unusable } from './db/folder.ts';
import { openStorage, type Storage } from './db/open.ts';
import { listenForMail } from './mail-in/listening.ts';
import { keepMemorySmall } from './memory.ts';
import { fillSearch } from './search/filling.ts';
import { serveMetrics } from './metrics.ts';
import { keepWarm } from './warm-up.ts';

const BEAT_MS = 15_000;
/** How late what happens by itself may be. */
const TIMERS_MS = 1_000;
const SENDING_MS = 2_000;
const HOUR_MS = 3_600_000;
/** A request that has not come whole by then is ended. */
const REQUEST_MS = 30_000;
const HEADERS_MS = 15_000;
/** A connection nobody asks anything over is kept longer than a proxy in front keeps it: who asks over one that is just being closed gets no answer. */
const KEEP_ALIVE_MS = 75_000;
const CHECKED_EVERY_MS = 5_000;
const MOST_CONNECTIONS = 5_000;
/** So long what is under way may take to end, once the server is to stop. */
const ENDING_MS = 8_000;
/** A built file is called by what is in it; what days and hours are comes with the runtime. */
const BUILD = `${basename(fileURLToPath(import.meta.url))} ${process.versions.tz ?? ''}`;
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
  mailTrust?: string;
  geocoder?: AppOptions['geocoder'];
  map?: string;
  signUp?: SignUp;
  trustedProxies?: readonly string[];
  /** Where figures are read; without it none are given. */
  metricsPort?: number;
  standIns?: AppOptions['standIns'];
  cacheMb?: number;
  /** Bytes of a file and of a house's files together. */
  fileLimits?: AppOptions['fileLimits'];
  /** Runs once the folder is this server's alone, before its database is opened. */
  prepare?: () => void;
  /** Runs before the first request is answered. */
  fill?: (storage: Storage) => Promise<void>;
}

export interface OpenServer {
  storage: Storage;
  /** Ends streams, finishes what was asked, writes the log into the file, and lets go of the folder. */
  close(): Promise<void>;
}

/** This process is the server: it ends cleanly on SIGTERM and SIGINT. What stands in the way is said in a sentence. */
export async function startServer(options: ServeOptions): Promise<void> {
  keepMemorySmall();
  const server = await openServer(options).catch((error: unknown) => {
    if (error instanceof Unusable) return stop(error.message);
    throw error;
  });
  // with a clock of its own nobody is served who would wait
  if (!options.simulate) keepWarm();
  endWhenAsked(server);
  goOnAfterFaults(server.storage);
  console.log(`Kotiva listens on ${urlOf(options)}${options.simulate ? ', on this machine only, with a simulated clock' : ''}`);
}

const urlOf = ({ publicUrl, host, port }: ServeOptions): string => publicUrl ?? `http://${host}:${port}`;

/** Opens the data and starts answering. Throws {@link Unusable}, in a sentence, where something stands in the way. */
export async function openServer(options: ServeOptions): Promise<OpenServer> {
  const { host, simulate } = options;
  if (simulate && !isLoopback(host))
    throw new Unusable(`With --simulate anybody can move the clock and read all mail: it listens on 127.0.0.1 only, not on ${host}.`);
  /** How to let go of what was taken, in the order it was taken in. */
  const taken: (() => void)[] = [];
  const letGo = () => {
    while (taken.length > 0) taken.pop()!();
  };
  try {
    const { storage, services, server } = await answering(options, taken);
    const close = async () => {
      await ended(services, server);
      letGo();
    };
    return { storage, close };
  } catch (error) {
    letGo();
    throw error;
  }
}

async function answering(options: ServeOptions, taken: (() => void)[]) {
  const { port, host, fill, smtpInPort, metricsPort } = options;
  const folder = resolve(options.data);
  taken.push(takeFolder(folder));
  options.prepare?.();
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(root, 'server/drizzle'));
  // let go of last but for the folder: nothing is to be done any more, and the file holds all there is
  taken.push(() => storage.close());
  keepPrivate(folder);
  await fill?.(storage);
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
  const clientFolder = join(root, 'client/dist');
  const { app, services } = createApp({
    ...options,
    storage,
    filesFolder: join(folder, 'files'),
    version,
    build: BUILD,
    publicUrl: urlOf(options),
    mailIn: smtpInPort !== undefined,
    mailTrust: options.mailTrust || undefined,
    clientFolder: existsSync(clientFolder) ? clientFolder : undefined,
  });
  const server = serve({
    fetch: app.fetch,
    port,
    hostname: host,
    serverOptions: { requestTimeout: REQUEST_MS, headersTimeout: HEADERS_MS, keepAliveTimeout: KEEP_ALIVE_MS, connectionsCheckingInterval: CHECKED_EVERY_MS },
  }) as Server;
  server.maxConnections = MOST_CONNECTIONS;
  await listening(server, port);
  if (services.mailIn && smtpInPort !== undefined) {
    const mail = listenForMail(services.mailIn, services.mailDomain);
    await listening(mail.listen(smtpInPort, host), smtpInPort);
    taken.push(() => mail.close());
  }
  if (metricsPort !== undefined) {
    const metrics = serveMetrics(services, metricsPort, host);
    await listening(metrics, metricsPort);
    taken.push(() => metrics.close());
  }
  // what fell due while nothing ran is done once there is somebody to answer: the start waits for none of it
  taken.push(beat(services), fillSearch(services));
  goOnWithFiles(services);
  return { storage, services, server };
}

/** What happens by itself. What goes wrong in it is said, and tried again the next time. Gives how to end it. */
function beat(services: Services): () => void {
  const { hub, timers, outbox, accounts, files, health } = services;
  const sweep = () => files?.sweep();
  const orSay = (task: () => unknown) => () => {
    void Promise.resolve()
      .then(task)
      .catch((error: unknown) => (isOfStorage(error) ? health.noRoom(error) : console.error(error)));
  };
  const beats = [
    setInterval(orSay(() => hub.beat()), BEAT_MS), // prettier-ignore
    setInterval(orSay(() => timers.runInSlices()), TIMERS_MS), // prettier-ignore
    setInterval(orSay(() => outbox.run()), SENDING_MS), // prettier-ignore
    setInterval(orSay(() => accounts.forgetEnded()), HOUR_MS), // prettier-ignore
    setInterval(orSay(sweep), HOUR_MS), // prettier-ignore
  ];
  return () => beats.forEach((one) => clearInterval(one));
}

/** What had come when an earlier server ended is gone on with; bytes nothing is known of go. */
function goOnWithFiles({ files }: Services): void {
  const task = async () => {
    await files?.dropUnknown();
    await files?.sweep();
  };
  task().catch((error: unknown) => console.error(error));
}

/** Ends streams, and waits for what was asked; not longer than it may take. */
function ended({ hub }: Services, server: Server): Promise<void> {
  return new Promise((resolve) => {
    const timers = [setTimeout(() => server.closeAllConnections(), ENDING_MS), setTimeout(resolve, ENDING_MS + 1_000)];
    server.close(() => {
      for (const timer of timers) clearTimeout(timer);
      resolve();
    });
    hub.endAll();
    server.closeIdleConnections();
    for (const timer of timers) timer.unref();
  });
}

function endWhenAsked({ close }: OpenServer): void {
  let isEnding = false;
  const end = () => {
    if (isEnding) return;
    isEnding = true;
    close().then(
      () => process.exit(0),
      (error: unknown) => {
        console.error(error);
        process.exit(1);
      },
    );
  };
  process.on('SIGTERM', end);
  process.on('SIGINT', end);
}

/**
 * A fault nobody caught is said. Where no transaction is open, what is in memory is what is in the file, and it goes on; else the
 * process ends, and whoever watches over it starts it anew.
 */
function goOnAfterFaults({ raw }: Storage): void {
  const fault = (error: unknown) => {
    console.error('A fault nobody caught:', error);
    if (raw.open && !raw.inTransaction) return;
    process.exit(1);
  };
  process.on('uncaughtException', fault);
  process.on('unhandledRejection', fault);
}

function listening(
  server: { once(event: string, listener: (error: NodeJS.ErrnoException) => void): unknown; listening?: boolean },
  port: number,
): Promise<void> {
  return new Promise((resolve, reject) => {
    if (server.listening) return resolve();
    server.once('listening', () => resolve());
    server.once('error', (error) => reject(new Unusable(sayListenError(error, port))));
  });
}

const isLoopback = (host: string): boolean => /^(127\.\d+\.\d+\.\d+|::1|localhost)$/.test(host);

function sayListenError(error: NodeJS.ErrnoException, port: number): string {
  if (error.code === 'EADDRINUSE') return `Port ${port} is taken by another program. Choose another with --port or PORT, for mail with KOTIVA_SMTP_IN_PORT.`;
  if (error.code === 'EACCES') return `Port ${port} may not be opened by this user. Choose one above 1023.`;
  return `Port ${port} can't be opened: ${error.message}.`;
}

export function portOf(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) stop(`'${text}' is not a port. Give a number from 1 to 65535.`);
  return port;
}

/** Says what is in the way, and ends. */
export function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}
