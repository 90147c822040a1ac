import { NOUNS } from '@kotiva/core';
import fc from 'fast-check';
import { v5 } from 'uuid';
import { LedgerHouse } from '../testing/ledger-house.ts';
import type { Commit, NewCommand } from './apply.ts';
import { CommandGroups } from './groups.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';

function together(...people: string[]) {
  const house = new LedgerHouse(...people);
  const groups = new CommandGroups(house.ledger, Number.POSITIVE_INFINITY);
  let count = 0;
  const command = (name: NewCommand['name'], payload: unknown, id = v5(`of a group ${count++}`, NAMES)): NewCommand => ({
    id,
    houseId: house.houseId,
    name,
    payload,
    at: house.clock.now(),
    seen: 1e9,
  });
  const submit = (by: string, given: NewCommand) => groups.submit(given, { id: v5(by, NAMES), name: by });
  const titles = () => house.ledger.rows(house.houseId).all('item').map(({ title }) => title).sort(); // prettier-ignore
  const inFile = () => (house.storage.raw.prepare('SELECT title FROM item ORDER BY title').all() as { title: string }[]).map(({ title }) => title);
  return { house, command, submit, titles, inFile };
}

test('what comes in together is one commit; each is decided on what those before it made, and is answered by itself', async () => {
  const { house, command, submit, inFile } = together('Aino', 'Leila');
  const commits: (Commit & { inFile: string[] })[] = [];
  house.ledger.onCommit((commit) => commits.push({ ...commit, inFile: inFile() }));
  const before = house.ledger.seq(house.houseId);
  const add = command('item.add', { title: 'Oars' });
  const outcomes = await Promise.all([
    submit('Aino', add),
    submit('Leila', command('item.add', { title: 'Rope' })),
    submit('Leila', command('item.add', { title: '' })),
    submit('Aino', add),
  ]);
  expect(outcomes).toEqual([
    expect.objectContaining({ outcome: 'accepted', seq: before + 1 }),
    expect.objectContaining({ outcome: 'accepted', seq: before + 2 }),
    expect.objectContaining({ outcome: 'refused' }),
    // given twice, it has the outcome of the first
    outcomes[0],
  ]);
  expect(commits).toHaveLength(1);
  expect(commits[0]).toMatchObject({ since: before, seq: before + 2, inFile: ['Oars', 'Rope'] });
});

test('one that can’t be written is refused alone: the others are kept, in memory as in the file', async () => {
  const { command, submit, titles, inFile } = together('Aino');
  // the token of another house's invitation
  const token = 'y'.repeat(40);
  const invite = { role: 'helper', uses: 'several', token };
  const elsewhere = { ...command('house.make', { name: 'Elsewhere', zone: 'UTC', person: { name: 'Noor', mark: 'No', colour: 'moss', pattern: 'weft' } }) };
  elsewhere.houseId = v5('elsewhere', NAMES);
  expect(await submit('Noor', elsewhere)).toMatchObject({ outcome: 'accepted' });
  expect(await submit('Noor', { ...command('invitation.make', invite), houseId: elsewhere.houseId })).toMatchObject({ outcome: 'accepted' });
  const outcomes = await Promise.all([
    submit('Aino', command('item.add', { title: 'Oars' })),
    submit('Aino', command('invitation.make', invite)),
    submit('Aino', command('item.add', { title: 'Rope' })),
  ]);
  expect(outcomes).toEqual([
    expect.objectContaining({ outcome: 'accepted' }),
    expect.objectContaining({ outcome: 'refused', reason: { code: 'taken', params: {} } }),
    expect.objectContaining({ outcome: 'accepted' }),
  ]);
  expect(titles()).toEqual(['Oars', 'Rope']);
  expect(inFile()).toEqual(['Oars', 'Rope']);
});

test.each([
  ['there is no room on the disk', 'SQLITE_FULL'],
  ['the file can’t be written', 'SQLITE_IOERR_WRITE'],
])('%s: nobody of the group is answered, nothing of it is there, and given again it is done', async (_words, code) => {
  const { house, command, submit, titles, inFile } = together('Aino', 'Leila');
  const before = house.ledger.seq(house.houseId);
  let isFull = true;
  house.ledger.beside((_house, changes) => {
    if (isFull && changes.some(({ fields }) => (fields as { title?: string }).title === 'Rope')) throw Object.assign(new Error('full'), { code });
  });
  const published = jest.fn();
  house.ledger.onCommit(published);
  const [oars, rope] = [command('item.add', { title: 'Oars' }), command('item.add', { title: 'Rope' })];
  const given = await Promise.allSettled([submit('Aino', oars), submit('Leila', rope)]);
  expect(given.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
  expect([titles(), inFile(), house.ledger.seq(house.houseId)]).toEqual([[], [], before]);
  expect(published).not.toHaveBeenCalled();
  isFull = false;
  await Promise.all([submit('Aino', oars), submit('Leila', rope)]);
  expect([titles(), inFile(), house.ledger.seq(house.houseId)]).toEqual([['Oars', 'Rope'], ['Oars', 'Rope'], before + 2]);
});

test('where the commit itself fails, all of it is undone and no outcome kept', async () => {
  const { house, command, submit, titles, inFile } = together('Aino');
  let isBroken = true;
  const { raw } = house.storage;
  raw.exec('CREATE TABLE whole (id TEXT PRIMARY KEY); CREATE TABLE half (whole TEXT REFERENCES whole (id) DEFERRABLE INITIALLY DEFERRED)');
  // found only when it is committed
  house.ledger.beside(() => {
    if (isBroken) raw.exec("INSERT INTO half VALUES ('nowhere')");
  });
  const printed = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const commands = ['Oars', 'Rope'].map((title) => command('item.add', { title }));
  const given = await Promise.allSettled(commands.map((one) => submit('Aino', one)));
  printed.mockRestore();
  const failed = given.every(({ status }) => status === 'rejected');
  expect([failed, titles(), inFile()]).toEqual([true, [], []]);
  isBroken = false;
  for (const one of commands) await submit('Aino', one);
  expect(titles()).toEqual(['Oars', 'Rope']);
});

test('in groups of whatever size the rows are the same as one by one', async () => {
  const WAYS = fc.constantFrom('add', 'check', 'uncheck', 'rename', 'remove', 'undo', 'refused');
  const doings = fc.array(fc.tuple(WAYS, fc.nat(5)), { minLength: 1, maxLength: 25 });
  await fc.assert(
    fc.asyncProperty(doings, fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 25, maxLength: 25 }), async (ways, sizes) => {
      const [single, grouped] = [together('Aino'), together('Aino')];
      const commands = ways.map((way) => doneBy(single, ...way));
      for (let at = 0, nth = 0; at < commands.length; at += sizes[nth++]!)
        await Promise.all(commands.slice(at, at + sizes[nth]!).map((one) => grouped.submit('Aino', one)));
      const rowsOf = ({ house }: typeof single) => NOUNS.map((noun) => house.storage.raw.prepare(`SELECT * FROM "${noun}" ORDER BY id`).all());
      expect(rowsOf(grouped)).toEqual(rowsOf(single));
    }),
    { numRuns: 15 },
  );
});

/** Applies by itself what is meant, and gives the command it was. */
function doneBy({ house, command }: ReturnType<typeof together>, way: string, nth: number): NewCommand {
  const items = house.ledger.rows(house.houseId).all('item');
  const item = items[nth % Math.max(1, items.length)]?.id ?? v5('nothing', NAMES);
  const given = {
    add: () => command('item.add', { title: `Thing ${items.length}` }),
    check: () => command('part.checkOff', { item, person: null }),
    uncheck: () => command('part.uncheck', { item, person: null }),
    rename: () => command('item.change', { item, title: `Renamed ${nth}` }),
    remove: () => command('item.remove', { items: [item] }),
    undo: () => command('undo', { command: v5(`of a group ${nth}`, NAMES) }),
    refused: () => command('item.add', { title: '' }),
  }[way]!();
  house.ledger.apply(given, { id: v5('Aino', NAMES), name: 'Aino' });
  return given;
}
