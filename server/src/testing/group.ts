import { appendFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openStorage, type Raw } from '../db/open.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { Ledger } from '../sync/apply.ts';
import { CommandGroups } from '../sync/groups.ts';
import { ACTORS, FURNISHED, GROUP, NOW } from './group-commands.ts';

/**
 * A process in which some commands come in together, and which is killed on the way: `group.mjs FOLDER MIGRATIONS COUNT`. It sends itself
 * SIGKILL before its count-th step (0: never): a statement that writes, the commit, telling those who listen, answering. With `furnish` in
 * place of the count it only makes the house.
 */
const [folder, migrations, count] = process.argv.slice(2) as [string, string, string];
mkdirSync(folder, { recursive: true });
let steps = 0;
let isArmed = false;
function step(): void {
  if (!isArmed) return;
  steps += 1;
  if (steps === Number(count)) process.kill(process.pid, 'SIGKILL');
}

const { raw, close } = openStorage(join(folder, 'kotiva.sqlite'), migrations);
// what a killed process has written is there all the same: only a power cut takes what is not on the disk yet
raw.pragma('synchronous = OFF');
const prepare = raw.prepare.bind(raw);
raw.prepare = ((sql: string) => {
  const statement = prepare(sql);
  const run = statement.run.bind(statement);
  statement.run = (...values: unknown[]) => {
    step();
    return run(...values);
  };
  return statement;
}) as Raw['prepare'];
const ledger = new Ledger(new SqliteHouses(raw), { now: () => NOW });

if (count === 'furnish')
  for (const { by, ...command } of FURNISHED) {
    const outcome = ledger.apply(command, ACTORS[by]);
    if (outcome.outcome === 'refused') throw new Error(`${command.name}: ${outcome.reason.code}`);
  }
else {
  ledger.onCommit(step);
  const groups = new CommandGroups(ledger, Number.POSITIVE_INFINITY);
  isArmed = true;
  await Promise.all(
    GROUP.map(async ({ by, ...command }) => {
      const { id } = await groups.submit(command, ACTORS[by]);
      appendFileSync(join(folder, 'answered'), `${id}\n`);
      step();
    }),
  );
  writeFileSync(join(folder, 'steps'), String(steps));
}
close();
