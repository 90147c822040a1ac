import { readFileSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import * as z from 'zod';
import { SimulatedClock } from '../../server/src/clock.ts';
import { Unusable } from '../../server/src/db/folder.ts';
import { Outbox, type Ways } from '../../server/src/notify/outbox.ts';
import { Gazetteer, spotsOf } from '../../server/src/places/geocoder.ts';
import { root, type ServeOptions } from '../../server/src/serve.ts';
import { fillDemo, type Attach } from './fill.ts';
import { freePort } from './free-port.ts';
import { mountStandIns } from './stand-ins/index.ts';
import { Mailbox } from './stand-ins/mailbox.ts';
import { Phones } from './stand-ins/phones.ts';
import { demoStateOf, markDemo, type DemoState } from './state.ts';

export interface DemoOptions {
  port: number;
  host: string;
  /** Folder of the data. What the demo did not make it leaves alone. */
  data: string;
  /** Throws away what was there, and fills the houses anew. */
  fresh: boolean;
  simulate: boolean;
  /** The instant the houses are filled for; else now. */
  begin?: string;
  /** Where mail comes in; else at a free port. */
  mailPort?: number;
  /** Where mail goes; else into a mailbox of its own. */
  smtpUrl?: string;
}

/** Nothing is sent while the houses are filled. */
const WAITING: Ways = {
  push: { send: () => Promise.reject(new Error('nothing is pushed here')) },
  mail: { send: () => Promise.reject(new Error('nothing is mailed here')) },
  outside: () => ({ footer: '' }),
  publicUrl: '',
  mailDomain: '',
};

/** The server with its made-up houses, and what stands in for the world outside. Throws {@link Unusable} where it can’t be had so. */
export async function demoServer(options: DemoOptions): Promise<ServeOptions & { publicUrl: string }> {
  const { port, host, simulate, fresh } = options;
  const data = resolve(options.data);
  const state = demoStateOf(join(data, 'kotiva.sqlite'));
  refuseUnfit(options, data, state);
  const publicUrl = `http://${host}:${port}`;
  if (fresh) for (const name of ['mailbox', 'phones.json']) rmSync(join(data, name), { recursive: true, force: true });
  const mailbox = new Mailbox(join(data, 'mailbox'));
  const phones = new Phones(join(data, 'phones.json'), publicUrl);
  const mailInPort = options.mailPort ?? (await freePort());
  return {
    port,
    host,
    data,
    simulate,
    publicUrl,
    demo: true,
    smtpUrl: options.smtpUrl ?? (await mailbox.listen()),
    smtpInPort: mailInPort,
    mailDomain: 'kaislaranta.example',
    geocoder: new Gazetteer(spotsOf(JSON.parse(region('gazetteer.geojson')))),
    map: region('map.geojson'),
    standIns: (app, services) => mountStandIns(app, services, { mailbox, phones, mailInPort }),
    prepare() {
      // only once no other server uses them
      if (!fresh && state !== 'cut-off') return;
      rmSync(join(data, 'files'), { recursive: true, force: true });
      for (const end of ['', '-wal', '-shm']) rmSync(join(data, `kotiva.sqlite${end}`), { force: true });
    },
    async fill(storage) {
      if (state === 'filled' && !fresh) return;
      console.log('Filling the demo houses …');
      markDemo(storage, 'filling');
      // what is cut off is thrown away and filled anew: until all of it is there nothing has to wait for the disk
      storage.raw.exec('PRAGMA synchronous = NORMAL');
      // what was told meanwhile is on its way once the server runs
      const attach: Attach = (ledger, clock) => void new Outbox(storage.raw, ledger, clock, WAITING);
      await fillDemo(storage, beginningOf(options, new SimulatedClock(storage.db)), join(data, 'files'), attach);
      storage.raw.exec('PRAGMA synchronous = FULL; PRAGMA wal_checkpoint(TRUNCATE)');
      markDemo(storage, 'filled');
    },
  };
}

function refuseUnfit({ begin, fresh, simulate }: DemoOptions, data: string, state: DemoState): void {
  if (state === 'own') throw new Unusable(`The data in ${data} was not made by the demo, which would let anyone in. Choose another folder with --data.`);
  if (begin === undefined) return;
  if (state === 'filled' && !fresh) throw new Unusable('The demo houses are filled already: --begin needs --fresh.');
  if (!simulate) throw new Unusable('--begin sets the simulated clock, so it can’t be had with --no-simulate.');
}

/** The instant the houses are filled for: now, or the one given, to which the simulated clock is set. */
function beginningOf({ begin }: DemoOptions, clock: SimulatedClock): string {
  if (begin === undefined) return clock.now();
  const instant = z.iso.datetime({ offset: true }).safeParse(begin);
  if (!instant.success) throw new Unusable(`'${begin}' is not an instant. Give one such as 2027-02-02T12:00:00+02:00.`);
  if (!clock.moveTo(new Date(instant.data).toISOString())) throw new Unusable(`${begin} lies in the past. Give --begin an instant still to come.`);
  return clock.now();
}

const region = (file: string): string => readFileSync(join(root, 'demo/region', file), 'utf8');
