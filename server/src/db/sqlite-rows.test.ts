import { join } from 'node:path';
import { CONTRACT_HOUSE, readerContract } from '@kotiva/core/testing/reader.contract';
import fc from 'fast-check';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { openStorage } from './open.ts';
import { SqliteRows } from './sqlite-rows.ts';

readerContract('SQLite', () => {
  const storage = openStorage(':memory:', join(__dirname, '../../drizzle'));
  return { rows: new SqliteRows(storage.raw, CONTRACT_HOUSE), close: () => storage.close() };
});

test('rows of another house are not there', () => {
  const storage = openStorage(':memory:', join(__dirname, '../../drizzle'));
  const person = {
    id: 'p',
    accountId: 'a',
    name: 'Aino',
    mark: 'Ai',
    colour: 'moss',
    pattern: 'weft',
    role: 'manager',
    email: null,
    phone: null,
    contact: '',
    rest: { hours: null, daysOff: [] },
    joinedAt: '',
    endedAt: null,
    houseId: 'one',
  };
  new SqliteRows(storage.raw, 'one').apply([{ noun: 'person', id: 'p', made: true, fields: person } as never], {
    commandId: 'c',
    name: 'x',
    actorId: null,
    payload: null,
    seq: 1,
  });
  const other = new SqliteRows(storage.raw, 'two');
  expect(other.find('person', 'p')).toBeUndefined();
  expect(other.by('person', 'accountId', 'a')).toEqual([]);
  expect(other.all('person')).toEqual([]);
  storage.close();
});

test('whatever was written is read as it is', () => {
  const house = new LedgerHouse('Aino');
  const item = house.item('Aino', 'Oars');
  const { raw } = house.storage;
  const text = fc.oneof(
    fc.string({ unit: 'grapheme' }),
    fc.string({ unit: 'binary-ascii' }),
    fc.constantFrom('"', '\\', '\u0001\u001f', '\u2028', '\u{1F332}', 'null', '[1]'),
  );
  fc.assert(
    fc.property(text, text, fc.double({ min: 0, max: 100, noNaN: true }), (title, notes, percent) => {
      raw.prepare('UPDATE item SET title = ?, notes = ?, "tagIds" = ? WHERE id = ?').run(title, notes, JSON.stringify([notes]), item);
      raw.prepare('UPDATE part SET percent = ?, message = ? WHERE "itemId" = ?').run(percent, notes, item);
      const rows = new SqliteRows(raw, house.houseId);
      expect(rows.find('item', item)).toMatchObject({ title, notes, tagIds: [notes] });
      expect(rows.by('part', 'itemId', item)[0]).toMatchObject({ percent, message: notes });
    }),
    { numRuns: 300 },
  );
});
