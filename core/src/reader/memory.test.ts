import { MemoryRows } from './memory.ts';
import { readerContract } from '../testing/reader.contract.ts';

readerContract('memory', () => ({ rows: new MemoryRows('all'), close: () => undefined }));

// a device begins with a copy of what is confirmed, and must not write through to it
readerContract('memory, copied', () => ({ rows: new MemoryRows('all').over(), close: () => undefined }));

test('of a whole house one knows that what is not found is not there, of what a device holds one does not', () => {
  expect([new MemoryRows('all').whole, new MemoryRows('all').over().whole, new MemoryRows('seen').whole]).toEqual([true, true, false]);
});

test('writing to a copy leaves the original as it was', () => {
  const rows = new MemoryRows('all');
  const item = { id: 'a', houseId: 'h', seq: 1, stamps: {}, parentId: 'p' } as never;
  rows.put('item', item);
  const copy = rows.over();
  copy.evict('item', 'a');
  copy.put('item', { ...(item as object), id: 'b' } as never);
  expect(rows.by('item', 'parentId', 'p').map((row) => row.id)).toEqual(['a']);
  expect(copy.by('item', 'parentId', 'p').map((row) => row.id)).toEqual(['b']);
});
