import { spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import sharp from 'sharp';
import { v5, v7 } from 'uuid';
import { bundled } from '../testing/bundled.ts';
import { UPLOADS } from './uploads.ts';

jest.setTimeout(1_800_000);

/** Files sent; 300 with `npm run test:deep`. */
const UPLOADED = Number(process.env['KILL_SEEDS'] ?? 3) > 3 ? 300 : 24;
const MIGRATIONS = join(__dirname, '../../drizzle');
const folder = mkdtempSync(join(tmpdir(), 'kotiva-file-kills-'));
const script = join(__dirname, '../../out/files-server.mjs');
const TUS = { 'tus-resumable': '1.0.0' };

/** Chances that are the same for the same seed. */
class Dice {
  constructor(private state: number) {}
  next(): number {
    this.state = (Math.imul(this.state, 1_664_525) + 1_013_904_223) >>> 0;
    return this.state / 2 ** 32;
  }
  below = (most: number): number => Math.floor(this.next() * most);
}

class Killed {
  private child: ChildProcess | null = null;
  private at = { base: '', cookie: '' };
  kills = 0;
  lost = 0;

  async up(): Promise<void> {
    const child = spawn(process.execPath, [script, folder, MIGRATIONS], { stdio: ['ignore', 'pipe', 'inherit'] });
    this.child = child;
    child.once('exit', () => this.child === child && (this.child = null));
    this.at = await new Promise((resolve, reject) => {
      let said = '';
      child.stdout!.on('data', (piece: Buffer) => {
        said += piece.toString();
        const line = said.split('\n').find((one) => one.startsWith('{'));
        if (line && said.includes('\n')) resolve(JSON.parse(line) as { base: string; cookie: string });
      });
      child.once('exit', () => reject(new Error('it ended before it answered')));
    });
  }

  async kill(): Promise<void> {
    const child = this.child;
    if (!child) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await ended;
    this.child = null;
    this.kills += 1;
  }

  /** Null: the line broke, or nobody answers any more. */
  async ask(method: string, path: string, headers: Record<string, string> = {}, body?: Uint8Array | string): Promise<Response | null> {
    if (!this.child) await this.up();
    return fetch(this.at.base + path, { method, headers: { cookie: this.at.cookie, ...headers }, body: body as BodyInit | undefined }).catch(() => null);
  }

  /** Some bytes of a part arrive; then the line breaks. */
  async breakOff(path: string, headers: Record<string, string>, part: Uint8Array): Promise<void> {
    if (!this.child) await this.up();
    this.lost += 1;
    await new Promise<void>((resolve) => {
      const sent = request(this.at.base + path, { method: 'PATCH', headers: { cookie: this.at.cookie, ...headers, 'content-length': String(part.length) } });
      sent.on('error', () => resolve());
      sent.write(part.subarray(0, part.length >> 1), () => sent.destroy());
    });
  }

  async give(name: string, payload: unknown, id = v7()): Promise<string> {
    for (;;) {
      const command = { id, houseId: HOUSE, name, payload, at: new Date().toISOString(), seen: 1e6 };
      const answer = await this.ask('POST', '/api/commands', { 'content-type': 'application/json' }, JSON.stringify({ commands: [command] }));
      if (!answer?.ok) continue;
      const { outcomes } = (await answer.json()) as { outcomes: { outcome: string }[] };
      if (outcomes[0]!.outcome !== 'accepted') throw new Error(`${name}: ${JSON.stringify(outcomes)}`);
      return id;
    }
  }

  async sweep(): Promise<void> {
    if (!this.child) await this.up();
    const swept = new Promise<void>((resolve) => this.child!.stdout!.on('data', (piece: Buffer) => piece.toString().includes('swept') && resolve()));
    this.child!.kill('SIGUSR2');
    await swept;
  }
}
const HOUSE = v7();

beforeAll(() => bundled('testing/files-server.ts', script));
const server = new Killed();
afterAll(async () => {
  await server.kill();
  rmSync(folder, { recursive: true, force: true });
});

test(`${UPLOADED} files, the server killed and the line lost again and again: each is there once, whole, and nothing is left over`, async () => {
  const dice = new Dice(20_261_129);
  await server.give('house.make', { name: 'House', zone: 'Europe/Helsinki', person: { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'warp' } });
  let item = '';
  const sent = new Map<string, Uint8Array>();
  for (let nth = 0; nth < UPLOADED; nth += 1) {
    // so many are with one item
    if (nth % 100 === 0) item = v5('0', await server.give('item.add', { title: `From ${nth}` }));
    const bytes = await someFile(dice, nth);
    const id = v5('0', await server.give('attachment.add', { item, name: `${nth}`, size: bytes.length }));
    sent.set(id, bytes);
    await upload(server, dice, id, bytes);
    if (nth % 8 === 7) await server.kill();
  }
  await server.sweep();
  // called off half-way: nothing of it stays
  const off = v5('0', await server.give('attachment.add', { item, name: 'off', size: 1_000 }));
  await server.ask('POST', UPLOADS, { ...TUS, 'upload-length': '1000', 'upload-metadata': `attachment ${Buffer.from(off).toString('base64')}` });
  await server.give('attachment.remove', { attachment: off });
  await server.sweep();

  for (const [id, bytes] of sent) {
    const answer = (await server.ask('GET', `/files/${HOUSE}/${id}/file`))!;
    expect(answer.status).toBe(200);
    const given = new Uint8Array(await answer.arrayBuffer());
    if (answer.headers.get('content-type') === 'image/png') expect((await sharp(given).metadata()).width).toBe((await sharp(bytes).metadata()).width);
    else expect(Buffer.compare(given, bytes)).toBe(0);
  }
  await server.kill();
  expect(readdirSync(join(folder, 'files/coming'))).toEqual([]);
  const kept = new Set(readdirSync(join(folder, 'files/kept'), { recursive: true }).map(String).filter((name) => name.includes('.')).map((name) => name.split('/')[1]!)); // prettier-ignore
  const wanted = new Set([...sent.values()].flatMap((bytes) => namesOf(bytes)));
  expect([...kept].sort()).toEqual([...wanted].sort());
  const db = new Database(join(folder, 'kotiva.sqlite'), { readonly: true });
  const many = (of: string) => (db.prepare(`SELECT COUNT(*) AS many FROM ${of}`).get() as { many: number }).many;
  expect(many('upload')).toBe(0);
  expect(many('attachment WHERE "removedAt" IS NULL')).toBe(UPLOADED);
  db.close();
  expect(server.kills).toBeGreaterThan(UPLOADED / 8);
  expect(server.lost).toBeGreaterThan(UPLOADED / 8);
});

/** A picture, or bytes; some of them twice. */
async function someFile(dice: Dice, nth: number): Promise<Uint8Array> {
  if (nth % 3 === 0) return sharp({ create: { width: 300 + dice.below(400), height: 200, channels: 3, background: { r: dice.below(255), g: 90, b: nth % 200 } } }).png().toBuffer(); // prettier-ignore
  const bytes = Buffer.alloc(20_000 + dice.below(200_000));
  bytes.fill(String(nth % 7));
  return bytes.subarray(0, nth % 5 === 0 ? 20_000 : bytes.length);
}

/** As a device does it: asks how much has come, goes on from there, and tries again. */
async function upload(server: Killed, dice: Dice, id: string, bytes: Uint8Array): Promise<void> {
  const path = `${UPLOADS}/${id}`;
  for (let tries = 0; tries < 200; tries += 1) {
    const asked = await server.ask('HEAD', path, TUS);
    if (asked?.status === 410) {
      expect(((await server.ask('GET', `/files/${HOUSE}/${id}/file`)) ?? { status: 200 }).status).toBe(200);
      return;
    }
    if (asked?.status === 404) await server.ask('POST', UPLOADS, { ...TUS, 'upload-length': String(bytes.length), 'upload-metadata': `attachment ${Buffer.from(id).toString('base64')}` }); // prettier-ignore
    if (asked?.status !== 200) continue;
    const offset = Number(asked.headers.get('upload-offset'));
    const part = bytes.subarray(offset, offset + 64_000);
    const headers = { ...TUS, 'upload-offset': String(offset), 'content-type': 'application/offset+octet-stream' };
    const luck = tries < 12 ? dice.next() : 1;
    if (luck < 0.2) await server.breakOff(path, headers, part);
    else if (luck < 0.35) {
      // in the middle of it, or of what comes after its last part
      const sending = server.ask('PATCH', path, headers, part);
      await server.ask('HEAD', '/api/health');
      await server.kill();
      await sending;
    } else await server.ask('PATCH', path, headers, part);
  }
  throw new Error(`${id} never arrived`);
}

/** What is kept of a file. */
function namesOf(bytes: Uint8Array): string[] {
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const isPicture = bytes[0] === 0x89;
  return (isPicture ? ['small', 'middle', 'large'] : ['whole']).map((as) => `${sha256}.${as}`);
}
