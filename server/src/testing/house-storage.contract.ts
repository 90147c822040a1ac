import { NOUNS, type Noun, type Row } from '@kotiva/core';
import { CONTRACT_HOUSE, readerContract } from '@kotiva/core/testing/reader.contract';
import { HouseMoved, RESET, type HouseStorage, type LoggedCommand } from '../houses/house-storage.ts';
import { WritableRows } from './writable-rows.ts';

const HOUSE = 'house one';
const tag = (id: string, houseId = HOUSE, seq = 1): Row<'tag'> => ({ id, houseId, name: id, parentId: null, makerId: 'aino', colour: 'moss', seq, stamps: {} }) as Row<'tag'>; // prettier-ignore
const invitation = (id: string, token: string, houseId = HOUSE): Row<'invitation'> =>
  ({ id, houseId, token, role: 'helper', lists: [], uses: 'one', makerId: 'aino', madeAt: '', expiresAt: '', withdrawnAt: null, joined: [], seq: 1, stamps: {} }) as Row<'invitation'>; // prettier-ignore
const command = (id: string, more: Partial<LoggedCommand> = {}): LoggedCommand => ({
  accountId: 'account of Aino',
  id,
  houseId: HOUSE,
  name: 'tag.make',
  payload: { name: 'Oars' },
  actorId: 'aino',
  seq: 1,
  changes: [{ noun: 'tag', id: 'oars', before: null }],
  outcome: '{"outcome":"accepted"}',
  at: '2026-11-24T10:00:00.000Z',
  ...more,
});

/** What every storage of houses must do: the same tests run on all of them. `open` gives an empty one. */
export function houseStorageContract(name: string, open: () => { storage: HouseStorage; close: () => void }): void {
  readerContract(name, () => {
    const { storage, close } = open();
    return { rows: new WritableRows(storage, CONTRACT_HOUSE), close };
  });

  describe(`${name}, as storage of houses`, () => {
    let storage: HouseStorage;
    let close: () => void;
    beforeEach(() => ({ storage, close } = open()));
    afterEach(() => close());

    const keys = (since: number, until: number, limit = 100) =>
      storage.changedKeys({ houseId: HOUSE, personId: 'aino', since, until, limit }).map(({ noun, id, seq, sighted }) => `${noun} ${id} ${seq} ${sighted}`);

    /** All there is to ask, so that what a commit left behind shows. */
    const everything = (houseId = HOUSE) => ({
      seq: storage.seqOf(houseId),
      rows: NOUNS.flatMap((noun: Noun) => storage.all(houseId, noun)),
      keys: keys(0, 99),
      isReset: storage.isReset(houseId, 'aino', 0),
      hasDays: storage.hasDays(houseId),
      outcomes: storage.outcomesOf('c1'),
      beginning: storage.beginningKeys(houseId, 0, '2026-11-24'),
    });

    test('a commit is kept whole; where its task throws nothing of it is', () => {
      const before = everything();
      const fault = new Error('in the middle');
      const write = () =>
        storage.commit((writer) => {
          writer.insert('tag', tag('oars'));
          writer.update('tag', { ...tag('oars'), name: 'Long oars' }, ['name']);
          writer.log(command('c1'));
          writer.sight(HOUSE, 1, { personId: 'aino', noun: RESET, rowId: RESET });
          writer.beginDay(HOUSE, '2026-11-24', 1);
          writer.setLiving(HOUSE, 'an item', true);
          writer.stand(HOUSE, 0, 1);
          throw fault;
        });
      expect(write).toThrow(fault);
      expect(everything()).toEqual(before);
      expect(
        storage.commit((writer) => {
          writer.insert('tag', tag('oars'));
          writer.stand(HOUSE, 0, 1);
          return 'done';
        }),
      ).toBe('done');
      expect(everything()).toMatchObject({ seq: 1, rows: [{ id: 'oars', name: 'oars' }] });
    });

    test('a house that went on since it was read is not written to', () => {
      storage.commit((writer) => writer.stand(HOUSE, 0, 3));
      for (const [since, seq] of [
        [0, 1],
        [2, 3],
        [2, 2],
        [4, 5],
      ] as const)
        // prettier-ignore
        expect(() =>
          storage.commit((writer) => {
            writer.insert('tag', tag('oars'));
            writer.stand(HOUSE, since, seq);
          }),
        ).toThrow(HouseMoved);
      expect(storage.all(HOUSE, 'tag')).toEqual([]);
      expect(storage.seqOf(HOUSE)).toBe(3);
      // where nothing was written it is only asked whether it still stands there
      storage.commit((writer) => writer.stand(HOUSE, 3, 3));
      storage.commit((writer) => writer.stand(HOUSE, 3, 4));
      expect(storage.seqOf(HOUSE)).toBe(4);
      expect(storage.faultOf(new HouseMoved(HOUSE, 1))).toBe('storage');
    });

    test.each([
      ['the same id, in another house', () => ['tag', tag('oars', 'house two')] as const],
      ['a token another house has', () => ['invitation', invitation('another', 'secret', 'house two')] as const],
    ])('%s is taken, and nothing of that commit is kept', (_, taken) => {
      storage.commit((writer) => {
        writer.insert('tag', tag('oars'));
        writer.insert('invitation', invitation('one', 'secret'));
      });
      let fault: unknown;
      try {
        storage.commit((writer) => {
          writer.insert('tag', tag('rope'));
          writer.insert(...(taken() as ['tag', Row]));
        });
      } catch (error) {
        fault = error;
      }
      expect([storage.faultOf(fault), storage.faultOf(new Error('another'))]).toEqual(['taken', null]);
      expect(storage.all(HOUSE, 'tag').map(({ id }) => id)).toEqual(['oars']);
    });

    test('rows of another house are not there, however they are asked for', () => {
      storage.commit((writer) => writer.insert('invitation', invitation('one', 'secret', 'house two')));
      expect(storage.find(HOUSE, 'invitation', 'one')).toBeUndefined();
      expect(storage.by(HOUSE, 'invitation', 'token', 'secret')).toEqual([]);
      expect(storage.all(HOUSE, 'invitation')).toEqual([]);
      expect(storage.among(HOUSE, 'invitation', 'id', ['one'])).toEqual([]);
      expect([...storage.pages(HOUSE, 'invitation')].flat()).toEqual([]);
      expect(storage.find('house two', 'invitation', 'one')).toMatchObject({ token: 'secret' });
    });

    test('rows are asked for by several ids or values at once, and all of them page by page', () => {
      const ids = Array.from({ length: 1_203 }, (_, nth) => `tag ${nth}`);
      storage.commit((writer) => ids.forEach((id, nth) => writer.insert('tag', tag(id, HOUSE, 1 + (nth % 7)))));
      const read = storage.among(HOUSE, 'tag', 'id', ['tag 5', 'none', 'tag 1202']).map(({ id }) => id);
      expect(read.sort()).toEqual(['tag 1202', 'tag 5']);
      expect([...storage.pages(HOUSE, 'tag')].flat().map(({ id }) => id).sort()).toEqual([...ids].sort()); // prettier-ignore
    });

    test('a command is found by the house it was accepted in, what was answered by its id alone', () => {
      storage.commit((writer) => {
        writer.log(command('c1'));
        writer.log(command('c1', { accountId: 'account of Leila', seq: null, outcome: '{"outcome":"refused"}' }));
        writer.log(command('c2', { seq: null }));
      });
      expect(storage.command(HOUSE, 'c1')).toEqual({ id: 'c1', name: 'tag.make', actorId: 'aino', payload: { name: 'Oars' }, changes: command('c1').changes });
      expect([storage.command('house two', 'c1'), storage.command(HOUSE, 'c2'), storage.command(HOUSE, 'c3')]).toEqual([undefined, undefined, undefined]);
      expect(storage.outcomesOf('c1').map(({ accountId, outcome }) => [accountId, JSON.parse(outcome)]).sort()).toEqual([
        ['account of Aino', { outcome: 'accepted' }],
        ['account of Leila', { outcome: 'refused' }],
      ]); // prettier-ignore
      expect(storage.outcomesOf('c3')).toEqual([]);
      expect(() => storage.commit((writer) => writer.log(command('c1')))).toThrow();
    });

    test('what changed comes in its order, what came into somebody’s sight for them alone', () => {
      storage.commit((writer) => {
        for (const [id, seq] of [['a', 2], ['b', 1], ['c', 5]] as const) writer.insert('tag', tag(id, HOUSE, seq)); // prettier-ignore
        writer.sight(HOUSE, 3, { personId: 'aino', noun: 'item', rowId: 'i' });
        writer.sight(HOUSE, 3, { personId: 'leila', noun: 'item', rowId: 'j' });
        writer.sight(HOUSE, 4, { personId: 'aino', noun: RESET, rowId: RESET });
      });
      expect(keys(0, 99)).toEqual(['tag b 1 0', 'tag a 2 0', 'item i 3 1', 'tag c 5 0']);
      expect(keys(1, 3)).toEqual(['tag a 2 0', 'item i 3 1']);
      expect(keys(0, 99, 2)).toEqual(['tag b 1 0', 'tag a 2 0']);
      expect([storage.isReset(HOUSE, 'aino', 3), storage.isReset(HOUSE, 'aino', 4), storage.isReset(HOUSE, 'leila', 0)]).toEqual([true, false, false]);
      storage.commit((writer) => writer.update('tag', { ...tag('b', HOUSE, 6), name: 'Rope' }, ['name', 'seq']));
      expect(keys(2, 99)).toEqual(['item i 3 1', 'tag c 5 0', 'tag b 6 0']);
    });

    test('a day begins once, and is found by any day up to it', () => {
      expect([storage.hasDays(HOUSE), storage.firstSince(HOUSE, '2026-01-01')]).toEqual([false, null]);
      storage.commit((writer) => {
        writer.beginDay(HOUSE, '2026-11-24', 3);
        writer.beginDay(HOUSE, '2026-11-24', 4);
        writer.beginDay(HOUSE, '2026-11-26', 9);
      });
      expect(['2026-11-01', '2026-11-24', '2026-11-25', '2026-11-27'].map((day) => storage.firstSince(HOUSE, day))).toEqual([3, 3, 9, null]);
      expect([storage.hasDays(HOUSE), storage.hasDays('house two')]).toEqual([true, false]);
    });
  });
}
