import { MemoryRows } from './memory.ts';
import { readerContract } from '../testing/reader.contract.ts';

readerContract('memory', () => ({ rows: new MemoryRows('absent'), close: () => undefined }));

// a device begins with a copy of what is confirmed, and must not write through to it
readerContract('memory, copied', () => ({ rows: new MemoryRows('absent').over(), close: () => undefined }));

test('a device does not know what it does not hold', () => {
  const rows = new MemoryRows('not-held');
  expect(rows.get('item', 'x')).toBe('not-held');
  expect(rows.command('x')).toBe('not-held');
});

test('writing to a copy leaves the original as it was', () => {
  const rows = new MemoryRows('absent');
  const item = { id: 'a', houseId: 'h', seq: 1, stamps: {}, parentId: 'p' } as never;
  rows.put('item', item);
  const copy = rows.over();
  copy.evict('item', 'a');
  copy.put('item', { ...(item as object), id: 'b' } as never);
  expect(rows.by('item', 'parentId', 'p').map((row) => row.id)).toEqual(['a']);
  expect(copy.by('item', 'parentId', 'p').map((row) => row.id)).toEqual(['b']);
});
