import 'fake-indexeddb/auto';
import { beyondWindow, CLUSTERED, isHere, MemoryRows, NOUNS, withBelow, type Noun, type Row } from '@kotiva/core';
import { visible } from '../../server/src/sync/visibility.ts';
import { doSomething } from './doings.ts';
import { Editor } from './editor.ts';
import { Random } from './random.ts';
import { RealServer } from '../../server/src/testing/real-server.ts';

const SEEDS = Number(process.env.SYNC_SEEDS ?? 200);
const FIRST = Number(process.env.SYNC_FIRST ?? 1);
const STEPS = 24;
const NAMES = ['Aino', 'Leila', 'Noor', 'Eetu'];

/** A house with two to four people, each on a device of their own, some with it open in two tabs. */
async function household(server: RealServer, random: Random): Promise<Editor[]> {
  const houseId = random.uuid();
  const names = NAMES.slice(0, 2 + random.below(3));
  const { ledger } = server.services;
  const at = new Date().toISOString();
  const editors: Editor[] = [];
  for (const [index, name] of names.entries()) {
    const who = server.signIn(name);
    const account = { id: who.accountId, name };
    const looks = { name, mark: name.slice(0, 2), colour: 'moss', pattern: 'weft' };
    const run = (command: string, payload: unknown, by = account) => {
      const outcome = ledger.apply({ id: random.uuid(), houseId, name: command as never, payload, at, seen: 0 }, by);
      if (outcome.outcome === 'refused') throw new Error(`${command}: ${outcome.reason.code}`);
    };
    if (index === 0) run('house.make', { name: 'House', zone: 'Europe/Helsinki', person: looks });
    else {
      const token = random.uuid().replaceAll('-', '') + name;
      run('invitation.make', { role: random.pick(['manager', 'member', 'helper']), uses: 'one', token }, { id: server.signIn('Aino').accountId, name: 'Aino' });
      run('person.join', { token, ...looks });
    }
    for (let tab = random.chance(0.4) ? 0 : 1; tab < 2; tab++) editors.push(new Editor(server, random, name, houseId, who));
  }
  for (const editor of editors) await editor.open();
  for (const editor of editors) await editor.catchUp();
  return editors;
}

async function run(server: RealServer, seed: number): Promise<void> {
  const random = new Random(seed);
  const editors = await household(server, random);
  const done = new Map<Editor, string[]>();
  for (const editor of editors) {
    editor.faults = { unsent: random.next() * 0.4, lostAck: random.next() * 0.4, reordered: random.next() * 0.5 };
    editor.pageRows = 1 + random.below(20);
  }
  for (let step = 0; step < STEPS; step++) {
    const editor = random.pick(editors)!;
    const what = random.next();
    if (what < 0.62) {
      const id = doSomething(editor, random);
      if (id) done.set(editor, [...(done.get(editor) ?? []), id]);
    } else if (what < 0.7) {
      const last = random.pick(done.get(editor) ?? []);
      if (last) editor.give('undo', { command: last });
    } else if (what < 0.9) await editor.pull();
    else if (what < 0.97) await editor.runTasks();
    else if (what < 0.985) await editor.reload();
    else {
      for (const other of editors) await other.settleSending();
      await server.restart();
    }
    if (random.chance(0.5)) await editor.settleSending();
    if (random.chance(0.06)) await letRest(server, random, editors);
    // closed and opened again between any two steps
    if (random.chance(0.15)) await random.pick(editors)!.reload();
  }
  for (const editor of editors) await editor.catchUp();
  for (const editor of editors) await editor.catchUp();
  for (const editor of editors) expectSame(server, editor, seed);
  // and so does what the device kept
  for (const editor of editors) await editor.reloadWithoutLine();
  for (const editor of editors) {
    expectSame(server, editor, seed);
    editor.stop();
  }
  for (const editor of editors) await editor.forget();
}

/** Nothing happens for a hundred days, and then one after the other comes back. */
async function letRest(server: RealServer, random: Random, editors: readonly Editor[]): Promise<void> {
  server.age(editors[0]!.store.getState().houseId!, 100);
  for (const editor of editors) {
    if (random.chance(0.3)) continue;
    while (await editor.pull());
    await editor.runTasks();
  }
}

/** Row for row: what the device holds is what the server says this person sees, and no less than they have to do with. */
function expectSame(server: RealServer, editor: Editor, seed: number): void {
  const { ledger } = server.services;
  const houseId = editor.store.getState().houseId!;
  const rows = ledger.rows(houseId);
  const person = rows.all('person').find((one) => one.name === editor.name && isHere(one));
  if (!person) throw new Error(`seed ${seed}: ${editor.name} is gone`);
  const seen = MemoryRows.from('all', visible(rows, person, NOUNS));
  const held = editor.confirmed();
  const all = new Map<string, Row>(NOUNS.flatMap((noun) => seen.all(noun).map((row) => [`${noun}:${row.id}`, row] as const)));
  for (const [key, row] of held) expect({ seed, who: editor.name, key, row }).toEqual({ seed, who: editor.name, key, row: all.get(key) });
  const beyond = new Set<string>(beyondWindow(seen, ledger.from(houseId), TODAY).map(({ noun, id }) => `${noun}:${id}`));
  const lacking = [...all.keys()].filter((key) => !beyond.has(key) && !held.has(key));
  expect({ seed, who: editor.name, lacking }).toEqual({ seed, who: editor.name, lacking: [] });
  expect({ seed, who: editor.name, torn: torn(seen, held) }).toEqual({ seed, who: editor.name, torn: [] });
  expect(editor.store.getState().pending).toEqual([]);
}
const TODAY = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);

/** What is lacking of clusters a device holds something of; what happened to them long ago needn't be there. */
function torn(seen: MemoryRows, held: ReadonlyMap<string, Row>): string[] {
  const lacking = (noun: Noun, id: string) => (held.has(`${noun}:${id}`) ? [] : [`${noun}:${id}`]);
  return seen
    .all('item')
    .filter(({ id }) => held.has(`item:${id}`))
    .flatMap(({ id }) => [...withBelow(id, seen)])
    .flatMap((id) => [
      ...lacking('item', id),
      ...CLUSTERED.filter((noun) => noun !== 'activity').flatMap((noun) => seen.by(noun, 'itemId', id).flatMap((row) => lacking(noun, row.id))),
    ]);
}

/** One in so many goes over sockets, the others to the same handlers in this process. */
const OVER_SOCKETS = 5;
/** And one to a server that forgets nearly everything it has read before each command. */
const FORGETFUL_MB = 0.05;

describe('editors with bad lines', () => {
  const [quick, real, forgetful] = [RealServer.quick(), new RealServer(), RealServer.quick({ cacheMb: FORGETFUL_MB })];
  const serverOf = (seed: number) => (seed % OVER_SOCKETS === 0 ? real : seed % OVER_SOCKETS === 1 ? forgetful : quick);
  beforeAll(() => Promise.all([quick.start(), real.start(), forgetful.start()]));
  afterAll(() => Promise.all([quick.stop(), real.stop(), forgetful.stop()]));
  const BLOCK = 50;
  for (let first = FIRST; first < FIRST + SEEDS; first += BLOCK) {
    const last = Math.min(first + BLOCK, FIRST + SEEDS) - 1;
    test(`seeds ${first} to ${last} end where the server says`, async () => {
      for (let seed = first; seed <= last; seed++) await run(serverOf(seed), seed);
    }, 120_000);
  }
});
