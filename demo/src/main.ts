import { readFileSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import * as z from 'zod';
import { SimulatedClock } from '../../server/src/clock.ts';
import { Outbox, type Ways } from '../../server/src/notify/outbox.ts';
import { Gazetteer, spotsOf } from '../../server/src/places/geocoder.ts';
import { portOf, root, startServer, stop } from '../../server/src/serve.ts';
import { DEMO_PASSWORD, fillDemo, type Attach } from './fill.ts';
import { GUESTHOUSE, HOME } from './scenario/index.ts';
import { freePort } from './free-port.ts';
import { mountStandIns } from './stand-ins/index.ts';
import { Mailbox } from './stand-ins/mailbox.ts';
import { Phones } from './stand-ins/phones.ts';
import { demoStateOf, markDemo } from './state.ts';

/** Nothing is sent while the houses are filled. */
const WAITING: Ways = {
  push: { send: () => Promise.reject(new Error('nothing is pushed here')) },
  mail: { send: () => Promise.reject(new Error('nothing is mailed here')) },
  outside: () => ({ footer: '' }),
  publicUrl: '',
  mailDomain: '',
};

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4100' },
    data: { type: 'string', default: join(root, '.data/demo') },
    fresh: { type: 'boolean', default: false },
    simulate: { type: 'boolean', default: true },
    begin: { type: 'string' },
    host: { type: 'string', default: '127.0.0.1' },
    'mail-port': { type: 'string', default: process.env.KOTIVA_SMTP_IN_PORT },
  },
  allowNegative: true,
});

const data = resolve(values.data);
const state = demoStateOf(join(data, 'kotiva.sqlite'));
if (state === 'own') stop(`The data in ${data} was not made by the demo, which would let anyone in. Choose another folder with --data.`);

if (values.begin !== undefined && state === 'filled' && !values.fresh) stop('The demo houses are filled already: --begin needs --fresh.');

const port = portOf(values.port);
if (values.fresh) for (const name of ['mailbox', 'phones.json']) rmSync(join(data, name), { recursive: true, force: true });
const mailbox = new Mailbox(join(data, 'mailbox'));
const phones = new Phones(join(data, 'phones.json'), `http://${values.host}:${port}`);
const mailInPort = values['mail-port'] ? portOf(values['mail-port']) : await freePort();

/** The instant the houses are filled for: now, or the one given, to which the simulated clock is set. */
function beginningOf(clock: SimulatedClock): string {
  const { begin } = values;
  if (begin === undefined) return clock.now();
  if (!values.simulate) stop('--begin sets the simulated clock, so it can’t be had with --no-simulate.');
  const instant = z.iso.datetime({ offset: true }).safeParse(begin);
  if (!instant.success) stop(`'${begin}' is not an instant. Give one such as 2027-02-02T12:00:00+02:00.`);
  if (!clock.moveTo(new Date(instant.data).toISOString())) stop(`${begin} lies in the past. Give --begin an instant still to come.`);
  return clock.now();
}

const region = (file: string): string => readFileSync(join(root, 'demo/region', file), 'utf8');

await startServer({
  port,
  host: values.host,
  data,
  simulate: values.simulate,
  demo: true,
  smtpUrl: process.env.KOTIVA_SMTP_URL ?? (await mailbox.listen()),
  smtpInPort: mailInPort,
  mailDomain: 'kaislaranta.example',
  geocoder: new Gazetteer(spotsOf(JSON.parse(region('gazetteer.geojson')))),
  map: region('map.geojson'),
  standIns: (app, services) => mountStandIns(app, services, { mailbox, phones, mailInPort }),
  prepare() {
    // only once no other server uses them
    if (values.fresh || state === 'cut-off') rmSync(join(data, 'files'), { recursive: true, force: true });
    if (values.fresh || state === 'cut-off') for (const end of ['', '-wal', '-shm']) rmSync(join(data, `kotiva.sqlite${end}`), { force: true });
  },
  async fill(storage) {
    if (state === 'filled' && !values.fresh) return;
    console.log('Filling the demo houses …');
    markDemo(storage, 'filling');
    // what is cut off is thrown away and filled anew: until all of it is there nothing has to wait for the disk
    storage.raw.exec('PRAGMA synchronous = NORMAL');
    // what was told meanwhile is on its way once the server runs
    const attach: Attach = (ledger, clock) => void new Outbox(storage.raw, ledger, clock, WAITING);
    await fillDemo(storage, beginningOf(new SimulatedClock(storage.db)), join(data, 'files'), attach);
    storage.raw.exec('PRAGMA synchronous = FULL; PRAGMA wal_checkpoint(TRUNCATE)');
    markDemo(storage, 'filled');
  },
});
console.log(`What is sent is read at http://${values.host}:${port}/simulate; mail comes in at port ${mailInPort}.`);
console.log(`Sign in with one tap as anyone, or with NAME@kaislaranta.example and the password '${DEMO_PASSWORD}':`);
for (const { name, people } of [GUESTHOUSE, HOME]) console.log(`  ${name}: ${people.map((person) => `${person.name} (${person.role})`).join(', ')}`);
