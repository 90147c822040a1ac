import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { v5 } from 'uuid';
import { DemoPerson } from './people.ts';
import { percentile, report, timed } from './report.ts';
import { freePort, ROOT } from './server.ts';
import { arrivals } from './wire.ts';

const ROUNDS = 12;
const PART_BYTES = 1024 * 1024;
const TUS = { 'tus-resumable': '1.0.0' };

/** Twelve megapixels in about four megabytes, each another. */
const photo = (nth: number): Promise<Buffer> =>
  sharp({ create: { width: 4000, height: 3000, channels: 3, background: { r: nth, g: 120, b: 90 }, noise: { type: 'gaussian', mean: 128, sigma: 24 } } })
    .jpeg({ quality: 66 })
    .toBuffer();

/**
 * From the first byte of a photo sent to the first pixel of it on another device, beside a bare upload by the same protocol to a server that
 * keeps nothing but the file, and a bare resize of it.
 */
export async function photoSecondDevice(base: string): Promise<void> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  const petri = await DemoPerson.signIn(base, 'Petri');
  const { item } = await aino.itemForMe('Bench: photos');
  await aino.send('part.handOver', { items: [item], persons: [petri.personId] });
  const bare = await startBare();
  const seen = await arrivals(await petri.live(), (data) => (/"sha256":"[0-9a-f]{64}"/.test(data) ? 'row' : null));
  const [took, alone]: [number[], number[]] = [[], []];
  for (let round = 0; round < ROUNDS; round += 1) {
    const bytes = await photo(round);
    alone.push(await timed(async () => {
      await upload(`${bare.base}/files`, {}, `round${round}`, bytes);
      await (await fetch(`${bare.base}/small/round${round}`)).arrayBuffer();
    })); // prettier-ignore
    const id = v5('0', await aino.send('attachment.add', { item, name: `${round}.jpg`, size: bytes.length }));
    took.push(await timed(async () => {
      const shown = seen.next().then(() => fetch(`${base}/files/${petri.houseId}/${id}/small`, { headers: { cookie: petri.cookie } })).then((answer) => answer.arrayBuffer());
      await upload(`${base}/files/coming`, { cookie: aino.cookie }, id, bytes);
      await shown;
    })); // prettier-ignore
  }
  bare.stop();
  report('photo_second_device_p50', percentile(took, 0.5), 'ms', percentile(alone, 0.5));
}

async function upload(endpoint: string, headers: Record<string, string>, id: string, bytes: Buffer): Promise<void> {
  const metadata = `attachment ${Buffer.from(id).toString('base64')}`;
  const begun = await fetch(endpoint, { method: 'POST', headers: { ...headers, ...TUS, 'upload-length': String(bytes.length), 'upload-metadata': metadata } });
  if (begun.status !== 201) throw new Error(`the upload was not begun: ${begun.status}`);
  for (let offset = 0; offset < bytes.length; offset += PART_BYTES) {
    const part = bytes.subarray(offset, offset + PART_BYTES);
    const type = { 'upload-offset': String(offset), 'content-type': 'application/offset+octet-stream' };
    const put = await fetch(`${endpoint}/${id}`, { method: 'PATCH', headers: { ...headers, ...TUS, ...type }, body: new Uint8Array(part) });
    if (put.status !== 204) throw new Error(`a part was not taken: ${put.status}`);
  }
}

/** The protocol's own server and a resize, and nothing else. */
const BARE = `
import { Server } from '@tus/server';
import { FileStore } from '@tus/file-store';
import sharp from 'sharp';
import { createServer } from 'node:http';
const [folder, port] = process.argv.slice(1);
sharp.concurrency(1);
const tus = new Server({ path: '/files', relativeLocation: true, datastore: new FileStore({ directory: folder }), namingFunction: (_request, metadata) => metadata.attachment });
createServer(async (request, response) => {
  if (!request.url.startsWith('/small/')) return tus.handle(request, response);
  response.end(await sharp(folder + '/' + request.url.slice(7)).autoOrient().resize(320, 320, { fit: 'inside' }).webp({ quality: 72 }).toBuffer());
}).listen(Number(port), '127.0.0.1', () => console.log('ready'));
`;

async function startBare(): Promise<{ base: string; stop(): void }> {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-bare-'));
  const port = await freePort();
  const child: ChildProcess = spawn(process.execPath, ['--input-type=module', '-e', BARE, folder, String(port)], {
    cwd: join(ROOT, 'server'),
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((ready) => child.stdout!.once('data', () => ready()));
  return {
    base: `http://127.0.0.1:${port}`,
    stop() {
      child.kill('SIGKILL');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
