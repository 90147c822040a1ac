import type { CommandName } from '@kotiva/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { realClock } from '../../server/src/clock.ts';
import { openStorage } from '../../server/src/db/open.ts';
import { SqliteHouses } from '../../server/src/db/sqlite-houses.ts';
import { Ledger, type NewCommand } from '../../server/src/sync/apply.ts';
import { CommandGroups } from '../../server/src/sync/groups.ts';
import { ROOT } from './server.ts';
import { report } from './report.ts';

const COMMANDS = 2000;

/** So many give at once, each its next when its last is answered. */
const DEVICES = 16;

/** Commands a second, each acknowledged after a durable commit, beside single-row inserts of the bare driver with the same pragmas. */
export async function commandsPerSecond(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-bench-'));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  const ledger = new Ledger(new SqliteHouses(storage.raw), realClock);
  const groups = new CommandGroups(ledger);
  const houseId = v7();
  const aino = { id: v7(), name: 'Aino' };
  const command = (name: CommandName, payload: unknown): NewCommand => ({ id: v7(), houseId, name, payload, at: realClock.now(), seen: 1e9 });
  const give = (name: CommandName, payload: unknown) => ledger.apply(command(name, payload), aino);
  give('house.make', { name: 'Bench', zone: 'UTC', person: { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'weft' } });
  give('list.make', { name: 'List', colour: 'moss', icon: 'leaf' });
  const list = ledger.rows(houseId).all('list')[0]!.id;
  for (let nth = 0; nth < DEVICES; nth++) give('item.add', { title: `Item ${nth}`, list });
  const items = ledger.rows(houseId).all('item').map(({ id }) => id); // prettier-ignore
  const tick = (item: string, round: number) => command(round % 2 === 0 ? 'part.checkOff' : 'part.uncheck', { item, person: null });
  storage.raw.exec('CREATE TABLE bare (id TEXT PRIMARY KEY, words TEXT NOT NULL)');
  const insert = storage.raw.prepare('INSERT INTO bare (id, words) VALUES (?, ?)');
  const perSecond = async (count: number, task: () => Promise<void> | void) => {
    const from = performance.now();
    await task();
    return (count * 1000) / (performance.now() - from);
  };
  const oneDevice = async (item: string) => {
    for (let round = 0; round < COMMANDS / DEVICES; round++) await groups.submit(tick(item, round), aino);
  };
  // in turns, so that both meet the same state of the disk
  const [ours, alone, bare]: [number[], number[], number[]] = [[], [], []];
  for (let turn = 0; turn < 3; turn++) {
    ours.push(await perSecond(COMMANDS, async () => void (await Promise.all(items.map(oneDevice)))));
    alone.push(
      await perSecond(COMMANDS / 4, () => {
        for (let round = 0; round < COMMANDS / 4; round++) ledger.apply(tick(items[0]!, round), aino);
      }),
    );
    bare.push(
      await perSecond(COMMANDS, () => {
        for (let round = 0; round < COMMANDS; round++) insert.run(v7(), 'a row');
      }),
    );
  }
  const median = (values: number[]) => values.sort((a, b) => a - b)[1]!;
  report('commands_per_s', median(ours), '1/s', median(bare));
  report('commands_per_s_alone', median(alone), '1/s', median(bare));
  storage.close();
  rmSync(folder, { recursive: true, force: true });
}
