import { join } from 'node:path';
import { CONTRACT_HOUSE, readerContract } from '@kotiva/core/testing/reader.contract';
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
  expect(other.get('person', 'p')).toBe('absent');
  expect(other.by('person', 'accountId', 'a')).toEqual([]);
  expect(other.all('person')).toEqual([]);
  storage.close();
});
