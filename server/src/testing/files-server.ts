import { serve } from '@hono/node-server';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { createApp } from '../app.ts';
import { openStorage } from '../db/open.ts';

/**
 * A server with files in a folder of its own, to be killed at any moment: says in a line of JSON where it is and how its one account signs in.
 * Run with the folder and that of the migrations.
 */
const [folder, migrations] = process.argv.slice(2) as [string, string];
const ACCOUNT = '018f2b5e-7c1a-7000-8000-000000000001';

const storage = openStorage(join(folder, 'kotiva.sqlite'), migrations);
// what a killed process has written is there all the same: only a power cut takes what is not on the disk yet
storage.raw.pragma('synchronous = OFF');
storage.raw
  .prepare(
    "INSERT OR IGNORE INTO account (id, email, name, \"passwordHash\", theme, \"createdAt\") VALUES (?, 'aino@kaislaranta.example', 'Aino', '', 'device', '')",
  )
  .run(ACCOUNT);
const { app, services } = createApp({ storage, version: 'test', filesFolder: join(folder, 'files') });
const { files } = services;
await files!.dropUnknown();
await files!.sweep();
const cookie = `kotiva_session=${services.accounts.signIn(ACCOUNT, 'test')}`;
serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1' }, (info: AddressInfo) => {
  console.log(JSON.stringify({ base: `http://127.0.0.1:${info.port}`, cookie }));
});
// asked to, it does at once what it would do within the hour
process.on('SIGUSR2', () => void files!.sweep().then(() => console.log('swept')));
