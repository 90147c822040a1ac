import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bundled } from '../testing/bundled.ts';

jest.setTimeout(120_000);

const SEEDS = Number(process.env['KILL_SEEDS'] ?? 2);
/** A process comes to so many points in a month, about. */
const POINTS_IN_A_MONTH = 400;
const MIGRATIONS = join(__dirname, '../../drizzle');
const folder = mkdtempSync(join(tmpdir(), 'kotiva-kills-'));
const script = join(__dirname, '../../out/month.mjs');

interface Month {
  told: string[];
  sent: string[];
  kills: number;
}

beforeAll(() => bundled('testing/month.ts', script));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Lives through the month in one folder; as long as it is killed it is begun again, with what `next` says for that time. */
async function month(name: string, next: (life: number) => [point: string, count: number]): Promise<Month> {
  const data = join(folder, name);
  for (let life = 0; ; life++) {
    const [point, count] = next(life);
    const child = spawn(process.execPath, [script, data, MIGRATIONS, point, String(count)], { stdio: ['ignore', 'ignore', 'inherit'] });
    const [code, signal] = await new Promise<[number | null, NodeJS.Signals | null]>((resolve) => child.once('exit', (...how) => resolve(how)));
    if (signal === 'SIGKILL') continue;
    if (code !== 0) throw new Error(`the process ended with ${code}`);
    const sent = readFileSync(join(data, 'sent'), 'utf8').trim().split('\n');
    return { told: JSON.parse(readFileSync(join(data, 'told'), 'utf8')) as string[], sent, kills: life };
  }
}

let calm: Month;
beforeAll(async () => {
  calm = await month('calm', () => ['any', 0]);
});

function expectTheSame({ told, sent }: Month): void {
  // in the application exactly once; outside at least once, under the same id
  expect(told).toEqual(calm.told);
  expect([...new Set(sent)].sort()).toEqual([...new Set(calm.sent)].sort());
}

test('undisturbed, a month has reminders, nudges, digests and last calls, each sent once', () => {
  const kinds = new Set(calm.told.map((line) => line.split(' ')[1]));
  expect([...kinds].sort()).toEqual(expect.arrayContaining(['handed', 'last-call', 'no-answer', 'nudge', 'nudges', 'reminder']));
  expect(new Set(calm.sent).size).toBe(calm.sent.length);
  expect(calm.told.length).toBeGreaterThan(60);
});

test.each(['before-commit', 'after-commit', 'before-send', 'after-send'])('killed again and again %s', async (point) => {
  const lived = await month(point, (life) => (life < 9 ? [point, 2 + (life % 3)] : ['any', 0]));
  expect(lived.kills).toBe(9);
  expectTheSame(lived);
});

test.each(Array.from({ length: SEEDS }, (_, seed) => seed))('killed at random, seed %i', async (seed) => {
  let state = seed * 7919 + 17;
  const random = () => (state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648;
  const lived = await month(`seed-${seed}`, (life) => (life < 15 ? ['any', 1 + Math.floor(random() * POINTS_IN_A_MONTH * 0.2)] : ['any', 0]));
  expect(lived.kills).toBeGreaterThan(3);
  expectTheSame(lived);
});
