import fc from 'fast-check';
import { SqliteHouses } from './sqlite-houses.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { HouseRows } from '../houses/house-rows.ts';

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
      const rows = new HouseRows(new SqliteHouses(raw), house.houseId);
      expect(rows.find('item', item)).toMatchObject({ title, notes, tagIds: [notes] });
      expect(rows.by('part', 'itemId', item)[0]).toMatchObject({ percent, message: notes });
    }),
    { numRuns: 300 },
  );
});
