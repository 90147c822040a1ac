import { NOUNS } from '@kotiva/core';
import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStorage } from '../db/open.ts';
import { bundled } from '../testing/bundled.ts';
import { ACTORS, GROUP, HOUSE, NOW } from '../testing/group-commands.ts';
import { Ledger, type CommandOutcome } from './apply.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { CommandGroups } from './groups.ts';

/** Power that goes while a group of commands is written: each is there whole or not at all, and what was answered is there. */

/** Every n-th step; with `test:deep` each of them. */
const STRIDE = Number(process.env['KILL_SEEDS'] ?? 2) > 10 ? 1 : 4;
const MIGRATIONS = join(__dirname, '../../drizzle');
const script = join(__dirname, '../../out/group.mjs');
const folder = mkdtempSync(join(tmpdir(), 'kotiva-group-'));
const base = join(folder, 'base');

beforeAll(async () => {
  await bundled('testing/group.ts', script);
  expect(await lived(base, 'furnish')).toBe(0);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** How the process ended: its exit code, or the signal that killed it. */
const lived = (data: string, count: string): Promise<number | string | null> =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [script, data, MIGRATIONS, count], { stdio: ['ignore', 'ignore', 'inherit'] });
    child.once('exit', (code, signal) => resolve(code ?? signal));
  });

/** Goes through the group in a copy of the house, killed before a step. */
async function killedBefore(step: number): Promise<{ data: string; ended: number | string | null; answered: string[] }> {
  const data = join(folder, `step-${step}`);
  cpSync(base, data, { recursive: true });
  const ended = await lived(data, String(step));
  const answered = existsSync(join(data, 'answered')) ? readFileSync(join(data, 'answered'), 'utf8').trim().split('\n') : [];
  return { data, ended, answered };
}

interface Found {
  faults: unknown[];
  /** Ids of commands of the group that were kept. */
  kept: string[];
  /** What each of them is answered when it is given again, as a device does. */
  outcomes: CommandOutcome[];
  /** Everything the house holds then. */
  rows: unknown;
}

/** What is found when the server starts again. */
async function found(data: string): Promise<Found> {
  const { raw, close } = openStorage(join(data, 'kotiva.sqlite'), MIGRATIONS);
  try {
    const whole = (raw.prepare('PRAGMA integrity_check').all() as { integrity_check: string }[]).filter((one) => one.integrity_check !== 'ok');
    const faults = [...whole, ...raw.prepare('PRAGMA foreign_key_check').all()];
    const all = (raw.prepare('SELECT id FROM command').all() as { id: string }[]).map(({ id }) => id);
    const kept = GROUP.map(({ id }) => id).filter((id) => all.includes(id));
    const ledger = new Ledger(new SqliteHouses(raw), { now: () => NOW });
    const groups = new CommandGroups(ledger, Number.POSITIVE_INFINITY);
    const outcomes = await Promise.all(GROUP.map(({ by, ...command }) => groups.submit(command, ACTORS[by])));
    const rows = NOUNS.map((noun) => [noun, ledger.rows(HOUSE).all(noun)]);
    return { faults, kept, outcomes, rows: JSON.parse(JSON.stringify(rows)) };
  } finally {
    close();
  }
}

test('killed before any of its steps, a group is there whole or not at all; given again it ends as if nothing had been', async () => {
  const calm = await killedBefore(0);
  expect(calm.ended).toBe(0);
  const undisturbed = await found(calm.data);
  expect(undisturbed.outcomes.map(({ outcome }) => outcome)).toEqual(['accepted', 'accepted', 'accepted', 'refused', 'accepted', 'accepted']);
  const steps = Number(readFileSync(join(calm.data, 'steps'), 'utf8'));
  expect(steps).toBeGreaterThan(25);
  const whole = GROUP.map(({ id }) => id);
  const ends = { whole: 0, nothing: 0, answered: 0 };
  for (let step = 1; step <= steps; step += STRIDE) {
    const { data, ended, answered } = await killedBefore(step);
    expect(ended).toBe('SIGKILL');
    const { kept, ...after } = await found(data);
    expect(kept.length === 0 ? whole : kept).toEqual(whole);
    expect(kept).toEqual(expect.arrayContaining(answered));
    expect(after).toEqual({ faults: [], outcomes: undisturbed.outcomes, rows: undisturbed.rows });
    ends[kept.length > 0 ? 'whole' : 'nothing'] += 1;
    ends.answered += answered.length;
  }
  // it was killed before the commit and after it, and while it answered
  expect(ends.nothing).toBeGreaterThan(3);
  expect(ends.whole).toBeGreaterThan(0);
  expect(ends.answered).toBeGreaterThan(0);
});
