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
import { applyInSlices } from '../../server/src/sync/long.ts';
import { report, timed } from './report.ts';
import { ROOT } from './server.ts';

const TURNS = 5;
const STEPS = 4;

/** A template of 500 items used, beside 500 lines added in one command; and the largest there is, with 2,000 steps. Each after a durable commit. */
export async function templateUsed500(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-bench-'));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  const ledger = new Ledger(new SqliteHouses(storage.raw), realClock);
  const groups = new CommandGroups(ledger);
  const houseId = v7();
  const aino = { id: v7(), name: 'Aino' };
  const give = async (name: CommandName, payload: unknown) => {
    const command: NewCommand = { id: v7(), houseId, name, payload, at: realClock.now(), seen: 1e9 };
    const { outcome } = await applyInSlices(ledger, groups, command, aino);
    if (outcome === 'refused') throw new Error(`${name} was refused`);
  };
  await give('house.make', { name: 'Bench', zone: 'UTC', person: { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'weft' } });
  const lines = Array.from({ length: 500 }, (_, nth) => ({ title: `Line ${nth} for {guests}` }));
  const steps = lines.flatMap((_, under) => Array.from({ length: STEPS }, (__, nth) => ({ title: `Step ${nth}`, under })));
  await give('template.make', { name: 'Plain', items: lines });
  await give('template.make', { name: 'Large', items: [...lines, ...steps] });
  const [plain, large] = ['Plain', 'Large'].map((name) => ledger.rows(houseId).all('template').find((one) => one.name === name)!.id); // prettier-ignore
  const makeFrom = (template: string | undefined, turn: number) =>
    timed(() => give('template.use', { template, name: `${template} ${turn}`, blanks: { guests: '40' } }));
  const add = async (turn: number) => {
    await give('list.make', { name: `List ${turn}`, colour: 'moss', icon: 'leaf' });
    const list = ledger.rows(houseId).all('list').find((one) => one.name === `List ${turn}`)!.id; // prettier-ignore
    return timed(() => give('item.addMany', { list, items: lines }));
  };
  const [used, added, largest]: [number[], number[], number[]] = [[], [], []];
  for (let turn = 0; turn < TURNS; turn++) {
    used.push(await makeFrom(plain, turn));
    added.push(await add(turn));
    largest.push(await makeFrom(large, turn));
  }
  const median = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(TURNS / 2)]!;
  report('use_template_500', median(used), 'ms', median(added));
  report('use_template_2500', median(largest), 'ms', median(added));
  storage.close();
  rmSync(folder, { recursive: true, force: true });
}
