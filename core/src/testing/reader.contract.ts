import { v5 } from 'uuid';
import { makePart } from '../commands/parts.ts';
import { Deciding } from '../commands/deciding.ts';
import type { Row } from '../model/nouns.ts';
import { applyChange, type Change, type Writer } from '../reader/change.ts';
import type { Reader, RecordedCommand } from '../reader/reader.ts';

/** A reader that can be written to: what both implementations are. */
export interface WritableRows extends Reader {
  apply(changes: readonly Change[], writer: Writer): RecordedCommand | void;
}

const SPACE = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';
const id = (name: string) => v5(name, SPACE);
export const CONTRACT_HOUSE = id('contract house');

const NOW = '2026-11-24T10:00:00.000Z';
let commands = 0;
const writer = (seq: number, name = 'test'): Writer => ({ commandId: id(`contract command ${commands++}`), name, actorId: id('actor'), payload: { seq }, seq });

function changesOf(make: (d: Deciding) => void, rows: Reader): Change[] {
  const d = new Deciding(rows, { commandId: id(`deciding ${commands++}`), houseId: CONTRACT_HOUSE, now: NOW, at: NOW, seen: 0, account: null });
  make(d);
  return d.changes();
}

const anItem = (title: string, listId: string | null = null): Omit<Row<'item'>, 'id' | 'houseId' | 'seq' | 'stamps'> => ({
  listId,
  sectionId: null,
  parentId: null,
  makerId: id('actor'),
  title,
  notes: '',
  due: null,
  start: null,
  importance: 2,
  effort: null,
  energy: null,
  dayPart: null,
  tagIds: [id('wood'), id('shore')],
  situationIds: [],
  wanted: null,
  placeId: null,
  seriesId: null,
  recurrenceId: null,
  turn: { kind: 'turns', queue: ['a', 'b'], countsFor: null, minutes: null, skipped: [] },
  missedAt: null,
  position: 'a0',
  policy: 'each',
  confirm: true,
  pace: 'calm',
  noteId: null,
  stageId: null,
  createdAt: NOW,
  removedAt: null,
  purgedAt: null,
});

/** What every implementation of the reader must do: the same tests run on all of them. */
export function readerContract(name: string, open: () => { rows: WritableRows; close: () => void }): void {
  describe(`reader contract: ${name}`, () => {
    let rows: WritableRows;
    let close: () => void;
    beforeEach(() => ({ rows, close } = open()));
    afterEach(() => close());
    const put = (make: (d: Deciding) => void, by = writer(1)) => {
      const changes = changesOf(make, rows);
      rows.apply(changes, by);
      return by;
    };

    test('gives back what was written, every kind of value', () => {
      const by = put((d) => d.insert('item', id('jackets'), anItem('Check the life jackets')), writer(7));
      expect(rows.find('item', id('jackets'))).toEqual({
        ...anItem('Check the life jackets'),
        id: id('jackets'),
        houseId: CONTRACT_HOUSE,
        seq: 7,
        stamps: { '': { c: by.commandId, s: 7, p: id('actor') } },
      });
    });

    test('finds nothing where nothing is, and says that it knows', () => {
      expect(rows.whole).toBe(true);
      expect(rows.find('item', id('nothing'))).toBeUndefined();
      expect(rows.by('part', 'itemId', id('nothing'))).toEqual([]);
      expect(rows.command(id('nothing'))).toBeUndefined();
    });

    test('a change writes only its fields, and stamps only those', () => {
      const made = put((d) => d.insert('item', id('a'), anItem('A')), writer(1));
      const changed = put((d) => d.set('item', id('a'), { title: 'B' }), writer(2));
      const row = rows.find('item', id('a')) as Row<'item'>;
      expect(row).toMatchObject({ title: 'B', importance: 2, confirm: true, seq: 2 });
      expect(Object.fromEntries(Object.entries(row.stamps).map(([field, stamp]) => [field, stamp.c]))).toEqual({
        '': made.commandId,
        title: changed.commandId,
      });
    });

    test('looks rows up by an indexed field, and follows when it changes', () => {
      const ids = ['a', 'b', 'c'].map(id);
      put((d) => {
        for (const one of ids) {
          d.insert('item', one, anItem(one));
          makePart(one, null, d);
        }
        d.set('item', ids[1]!, { parentId: ids[0] });
        d.set('item', ids[2]!, { parentId: ids[0] });
      });
      const under = (parent: string) =>
        rows
          .by('item', 'parentId', parent)
          .map((item) => item.id)
          .sort();
      expect(under(ids[0]!)).toEqual([ids[1]!, ids[2]!].sort());
      put((d) => d.set('item', ids[2]!, { parentId: ids[1] }), writer(2));
      expect(under(ids[0]!)).toEqual([ids[1]!]);
      expect(under(ids[1]!)).toEqual([ids[2]!]);
      expect(rows.by('part', 'itemId', ids[0]!)).toHaveLength(1);
      expect(rows.all('item')).toHaveLength(3);
    });

    test('a row stands under each of several values, and goes from under those it no longer has', () => {
      const [one, other] = ['one', 'other'].map(id) as [string, string];
      put((d) => {
        d.insert('item', one, anItem('one'));
        d.insert('item', other, { ...anItem('other'), tagIds: [id('shore')] });
      });
      const under = (tag: string) => rows.by('item', 'tag', id(tag)).map((item) => item.title).sort(); // prettier-ignore
      expect([under('wood'), under('shore'), under('none')]).toEqual([['one'], ['one', 'other'], []]);
      put((d) => d.set('item', one, { tagIds: [id('none'), id('wood')] }), writer(2));
      expect([under('wood'), under('shore'), under('none')]).toEqual([['one'], ['other'], ['one']]);
      put((d) => d.set('item', one, { tagIds: [] }), writer(3));
      expect([under('wood'), under('shore'), under('none')]).toEqual([[], ['other'], []]);
    });

    test('emptied fields are null again, also those of structured values', () => {
      put((d) => {
        d.insert('item', id('a'), anItem('A'));
        makePart(id('a'), null, d, { stood: { standing: 'accepted', percent: 40 }, completedAt: NOW });
      });
      const part = rows.by('part', 'itemId', id('a'))[0]!;
      expect(part.stood).toEqual({ standing: 'accepted', percent: 40 });
      put((d) => d.set('part', part.id, { stood: null, completedAt: null }), writer(2));
      expect(rows.find('part', part.id)).toMatchObject({ stood: null, completedAt: null });
    });

    test('applying is the same as applying each change to the row before', () => {
      put((d) => d.insert('item', id('a'), anItem('A')));
      const before = rows.find('item', id('a')) as Row<'item'>;
      const changes = changesOf((d) => d.set('item', id('a'), { title: 'B', due: '2026-12-24' }), rows);
      const by = writer(2);
      rows.apply(changes, by);
      expect(rows.find('item', id('a'))).toEqual(applyChange(before, changes[0]!, by));
    });
  });
}
