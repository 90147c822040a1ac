import type { Person } from '@kotiva/core';
import { isDeepStrictEqual } from 'node:util';
import { LedgerHouse } from '../testing/ledger-house.ts';
import type { Commit } from './apply.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { ChangeFeed, type ChangePage } from './changes.ts';

/** Every commit is asked about twice, for everybody: of what it says itself, and of the database. */
function watched(...people: string[]) {
  const house = new LedgerHouse(...people);
  const feed = new ChangeFeed(new SqliteHouses(house.storage.raw));
  const seen = { pages: 0, resets: 0, evicted: 0, differing: [] as unknown[] };
  house.ledger.onCommit((commit) => {
    const rows = house.ledger.rows(house.houseId);
    for (const person of rows.all('person').filter(({ accountId, endedAt }) => accountId !== null && endedAt === null)) compare(commit, person);
  });
  function compare(commit: Commit, person: Person): void {
    const rows = house.ledger.rows(house.houseId);
    const fromCommit = feed.ofCommit(rows, person, commit);
    const fromDatabase = feed.page(rows, person, { since: commit.since, until: commit.seq, from: commit.from, now: house.clock.now() });
    seen.pages += 1;
    seen.evicted += fromCommit.evict.length;
    if (fromCommit.reset) seen.resets += 1;
    // whoever listens and throws is only written down: told at the end
    const isSame = fromCommit.reset ? fromDatabase.reset : isDeepStrictEqual(inOrder(fromCommit), inOrder(fromDatabase));
    if (!isSame) seen.differing.push({ fromCommit, fromDatabase });
  }
  return { house, seen };
}

const inOrder = ({ put, evict, ...page }: ChangePage) => ({
  ...page,
  put: [...put].sort((a, b) => (a.noun + a.row.id < b.noun + b.row.id ? -1 : 1)),
  evict: [...evict].sort((a, b) => (a.noun + a.id < b.noun + b.id ? -1 : 1)),
});

test('what a commit says of itself is what the database says of it, for everybody', () => {
  const { house, seen } = watched('Aino', 'Leila', 'Noor');
  const row = <N extends 'item' | 'list'>(noun: N, command: string) =>
    house.ledger
      .rows(house.houseId)
      .all(noun)
      .find(({ stamps }) => stamps['']?.c === command)!.id;
  const [leila, noor] = [house.person('Leila'), house.person('Noor')];
  house.give('Aino', 'person.setRole', { person: leila, role: 'member' });
  const list = row('list', house.give('Aino', 'list.make', { name: 'Boathouse', colour: 'moss', icon: 'list' }));
  const item = row('item', house.give('Aino', 'item.add', { title: 'Oars', list, tags: ['wood'], due: '2026-12-01' }));
  const step = row('item', house.give('Aino', 'item.add', { title: 'Varnish', parent: item }));
  house.give('Aino', 'list.share', { list, person: leila, access: 'edit' });
  house.give('Aino', 'part.handOver', { items: [item], persons: [noor], message: 'By Friday' });
  house.give('Noor', 'part.plan', { items: [item], plan: '2026-11-27' });
  house.give('Noor', 'comment.say', { item, text: 'Which varnish?' });
  house.give('Leila', 'item.change', { item, notes: 'The dark one' });
  house.give('Noor', 'part.checkOff', { item, person: noor });
  const undone = house.give('Aino', 'part.takeBack', { item, persons: [noor] });
  house.give('Aino', 'undo', { command: undone });
  house.give('Aino', 'away.add', { person: house.person('Aino'), from: '2026-11-24', to: '2026-11-30', standIn: leila });
  house.give('Aino', 'list.share', { list, person: leila, access: null });
  const other = row('list', house.give('Leila', 'list.make', { name: 'Presents', colour: 'plum', icon: 'heart' }));
  const gift = row('item', house.give('Leila', 'item.add', { title: 'A book', list: other }));
  house.give('Leila', 'item.move', { items: [gift], list: null, section: null });
  house.give('Aino', 'item.remove', { items: [step] });
  house.give('Aino', 'person.setRole', { person: leila, role: 'helper' });
  house.give('Aino', 'list.remove', { list });
  expect(seen.differing).toEqual([]);
  expect(seen.pages).toBeGreaterThan(50);
  expect(seen.resets).toBeGreaterThan(0);
  expect(seen.evicted).toBeGreaterThan(0);
});

test('what is the same for two people is one page, written once; what is private to one is not', () => {
  const { house } = watched('Aino', 'Leila', 'Noor');
  const feed = new ChangeFeed(new SqliteHouses(house.storage.raw));
  let last: Commit | null = null;
  house.ledger.onCommit((commit) => (last = commit));
  const item = house.item('Aino', 'Oars', { persons: [house.person('Leila'), house.person('Noor')], policy: 'each' });
  house.give('Leila', 'part.plan', { items: [item], plan: '2026-11-27' });
  const rows = house.ledger.rows(house.houseId);
  const [aino, leila, noor] = ['Aino', 'Leila', 'Noor'].map((name) => rows.all('person').find((one) => one.name === name)!);
  const partOf = (person: Person) => feed.ofCommit(rows, person, last!).put.find(({ noun }) => noun === 'part')?.row;
  expect(partOf(leila!)).toMatchObject({ plan: '2026-11-27' });
  expect(partOf(noor!)).toMatchObject({ plan: null });
  expect(partOf(noor!)).toBe(partOf(noor!));
  expect(partOf(aino!)).toBe(partOf(noor!));
});
