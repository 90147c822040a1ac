import { isLiving, type Item, type Noun, type Person } from '@kotiva/core';
import { LivedIn } from '@kotiva/core/testing/lived-in';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { insertRow, SqliteHouses } from '../db/sqlite-houses.ts';
import { ChangeFeed, type ChangePage } from './changes.ts';

const DAY_MINUTES = 24 * 60;
const rests = (house: LedgerHouse, days: number) => house.later(days * DAY_MINUTES);

/** A house of two in which something happened long ago. */
function aged() {
  const house = new LedgerHouse('Aino', 'Leila');
  const feed = new ChangeFeed(new SqliteHouses(house.storage.raw));
  const leila = house.person('Leila');
  const done = house.item('Aino', 'Tar the boat', { persons: [leila] });
  house.give('Leila', 'comment.say', { item: done, text: 'Two tins' });
  house.give('Leila', 'part.checkOff', { item: done, person: leila });
  house.give('Aino', 'part.putAway', { items: [done] });
  const open = house.item('Aino', 'Mend the gate', { persons: [leila] });
  rests(house, 100);
  house.give('Aino', 'item.add', { title: 'Something new' });
  return { house, feed, done, open };
}

const page = (house: LedgerHouse, feed: ChangeFeed, name: string, since: number, begins = false): ChangePage => {
  const person = house.row('person', (one) => one.name === name) as Person;
  const { ledger, houseId } = house;
  return feed.page(ledger.rows(houseId), person, { since, until: ledger.seq(houseId), from: ledger.from(houseId), now: house.clock.now(), begins });
};
const nouns = (put: ChangePage['put'], item: string): Noun[] =>
  put.flatMap(({ noun, row }) => (row.id === item || (row as { itemId?: string }).itemId === item ? [noun] : []));

test('a device that begins is given what has to do with now, and all of it', () => {
  const { house, feed, done, open } = aged();
  const { put, more } = page(house, feed, 'Leila', 0, true);
  expect(more).toBe(false);
  expect(nouns(put, done)).toEqual([]);
  expect(nouns(put, open)).toEqual(expect.arrayContaining(['item', 'part', 'activity', 'notice']));
});

test('page by page it is the same, and nothing is given twice', () => {
  const { house, feed } = aged();
  const whole = page(house, feed, 'Leila', 0, true).put.map(({ noun, row }) => `${noun}:${row.id}`);
  const person = house.row('person', (one) => one.name === 'Leila') as Person;
  const { ledger, houseId } = house;
  const found: string[] = [];
  let asks = 0;
  for (let since = 0, more = true; more;) {
    const asked = { since, until: ledger.seq(houseId), from: ledger.from(houseId), now: house.clock.now(), begins: true, limit: 3 };
    const next = feed.page(ledger.rows(houseId), person, asked);
    found.push(...next.put.map(({ noun, row }) => `${noun}:${row.id}`));
    ({ seq: since, more } = next);
    // what happens while it begins comes after
    if (++asks <= 3) house.give('Leila', 'item.add', { title: `Meanwhile ${asks}` });
  }
  expect(new Set(found).size).toBe(found.length);
  expect(found).toEqual(expect.arrayContaining(whole));
});

test('what rested and is touched again comes whole, to everybody who sees it', () => {
  const { house, feed, done } = aged();
  const since = house.ledger.seq(house.houseId);
  house.give('Aino', 'comment.say', { item: done, text: 'Which tins?' });
  for (const name of ['Aino', 'Leila'])
    expect(nouns(page(house, feed, name, since).put, done)).toEqual(expect.arrayContaining(['item', 'part', 'comment', 'activity']));
});

test('a device that was away for longer than the window begins anew', () => {
  const { house, feed } = aged();
  expect(page(house, feed, 'Leila', 5)).toMatchObject({ reset: true });
  const since = house.ledger.seq(house.houseId);
  rests(house, 80);
  house.give('Aino', 'item.add', { title: 'A little later' });
  expect(page(house, feed, 'Leila', since).reset).toBeUndefined();
});

test('a house nobody has touched for a hundred days holds what is open', () => {
  const { house, feed, open } = aged();
  rests(house, 100);
  const { put, from } = page(house, feed, 'Leila', 0, true);
  expect(from).toBe(house.ledger.seq(house.houseId));
  expect(nouns(put, open)).toContain('item');
  // and a device that has everything of it is not sent back to the beginning
  expect(page(house, feed, 'Leila', from).reset).toBeUndefined();
});

test('a database from before knows what somebody has still to do with as the rules say it', () => {
  const house = new LedgerHouse('Aino', 'Leila');
  const lived = new LivedIn({ name: 'before', done: 60, open: 30, years: 1, chores: 5 });
  for (const [noun, row] of lived.rows()) insertRow(house.storage.raw, noun, row);
  for (const [policy, confirm] of [
    ['any', false],
    ['each', false],
    ['any', true],
    ['each', true],
  ] as const) {
    const item = house.item('Aino', `${policy} ${confirm}`, { persons: [house.person('Aino'), house.person('Leila')], policy, confirm });
    house.give('Leila', 'part.checkOff', { item, person: house.person('Leila') });
  }
  const { raw } = house.storage;
  raw.exec('DELETE FROM living');
  raw.exec(readFileSync(join(__dirname, '../../drizzle/0021_window.sql'), 'utf8').split('--> statement-breakpoint').at(-1)!);
  const found = (raw.prepare('SELECT "itemId" AS id FROM living').all() as { id: string }[]).map(({ id }) => id);
  const expected = [house.houseId, lived.houseId].flatMap((houseId) => {
    const rows = house.ledger.rows(houseId);
    return rows.all('item').filter((item: Item) => isLiving(item, rows.by('part', 'itemId', item.id))).map(({ id }) => id); // prettier-ignore
  });
  expect(found.sort()).toEqual(expected.sort());
  expect(found.length).toBeGreaterThan(30);
});
