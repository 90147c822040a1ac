import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { realClock } from '../../server/src/clock.ts';
import { openStorage } from '../../server/src/db/open.ts';
import { Ledger } from '../../server/src/sync/apply.ts';
import { ROOT } from './server.ts';
import { report } from './report.ts';

const COMMANDS = 2000;

/** Commands a second, each acknowledged after a durable commit, beside single-row inserts of the bare driver with the same pragmas. */
export function commandsPerSecond(): void {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-bench-'));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  const ledger = new Ledger(storage.raw, realClock);
  const houseId = v7();
  const aino = { id: v7(), name: 'Aino' };
  const give = (name: string, payload: unknown) => ledger.apply({ id: v7(), houseId, name: name as never, payload, at: realClock.now(), seen: 1e9 }, aino);
  give('house.make', { name: 'Bench', zone: 'UTC', person: { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'weft' } });
  give('list.make', { name: 'List', colour: 'moss', icon: 'leaf' });
  give('item.add', { title: 'An item', list: ledger.rows(houseId).all('list')[0]!.id });
  const item = ledger.rows(houseId).all('item')[0]!.id;
  storage.raw.exec('CREATE TABLE bare (id TEXT PRIMARY KEY, words TEXT NOT NULL)');
  const insert = storage.raw.prepare('INSERT INTO bare (id, words) VALUES (?, ?)');
  const perSecond = (task: (round: number) => void) => {
    const from = performance.now();
    for (let round = 0; round < COMMANDS; round++) task(round);
    return (COMMANDS * 1000) / (performance.now() - from);
  };
  // in turns, so that both meet the same state of the disk
  const ours: number[] = [];
  const bare: number[] = [];
  for (let turn = 0; turn < 3; turn++) {
    ours.push(perSecond((round) => give(round % 2 === 0 ? 'part.checkOff' : 'part.uncheck', { item, person: null })));
    bare.push(perSecond(() => insert.run(v7(), 'a row')));
  }
  const median = (values: number[]) => values.sort((a, b) => a - b)[1]!;
  report('commands_per_s', median(ours), '1/s', median(bare));
  storage.close();
  rmSync(folder, { recursive: true, force: true });
}
