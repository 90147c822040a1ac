import type { Noun, Row } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';
import { atOnce } from '../slices.ts';
import { fillingSearch } from './filling.ts';
import { foundBy } from './found-by.ts';

describe('finding by words', () => {
  const server = RealServer.quick();
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Petri: 'member', Leila: 'helper', Tapio: 'helper' });
  });

  const make = async (who: string, fields: { title: string; notes?: string; list?: string; parent?: string; persons?: string[] }) =>
    house.made('item', await house.must(who, 'item.add', fields)).id;
  const listOf = async (who: string, name: string, sharedWith: string[] = []) => {
    const { id } = house.made('list', await house.must(who, 'list.make', { name, colour: 'moss', icon: 'leaf' }));
    for (const person of sharedWith) await house.must(who, 'list.share', { list: id, person: house.person(person), access: 'edit' });
    return id;
  };
  const found = (who: string, words: string, most = 200): string[] => {
    const { ledger } = server.services;
    const rows = ledger.rows(house.houseId);
    const person = rows.find('person', house.person(who)) as Row<'person'>;
    return atOnce(foundBy(words, rows, person, server.raw, most)).map((id) => (rows.find('item', id) as Row<'item'>).title);
  };
  const sent = async (who: string, words: string): Promise<string[]> => {
    const answer = await house.fetch(who, 'GET', `/api/houses/${house.houseId}/beyond?words=${encodeURIComponent(words)}`);
    expect(answer.status).toBe(200);
    const { put } = (await answer.json()) as { put: { noun: Noun; row: Row }[] };
    return put.flatMap(({ noun, row }) => (noun === 'item' ? [(row as Row<'item'>).title] : noun === 'comment' ? [(row as Row<'comment'>).text] : []));
  };

  test('in titles, steps, notes and what was said; every word somewhere in the item, the last as a beginning', async () => {
    const boiler = await make('Aino', { title: 'Sähkökiuas leaks', notes: 'behind the benches' });
    await make('Aino', { title: 'Order a gasket', parent: boiler });
    await house.must('Aino', 'comment.say', { item: boiler, text: 'Which valve, the brass one?' });
    for (const words of ['sahkokiuas', 'LEAK', 'benches', 'bench ', 'brass valve', 'leaks gask', 'bench valves gasket'])
      expect([words, found('Aino', words)]).toEqual([words, ['Sähkökiuas leaks']]);
    expect(found('Aino', 'gaskets')).toEqual(['Order a gasket']);
    for (const words of ['eaks', 'zebra', 'leaks zebra', '%', '"', '*', 'NEAR(leaks', '<b>', '🙂', 'x'.repeat(2_000), 'house : "h', 'leaks OR zebra', 'ليل'])
      expect([words, found('Aino', words)]).toEqual([words, []]);
  });

  test('the index keeps up: changed, moved under another, said and taken back, removed for good', async () => {
    const winter = await make('Aino', { title: 'Winter storage' });
    const oars = await make('Aino', { title: 'Oars' });
    await house.must('Aino', 'item.change', { item: oars, title: 'Paddles', notes: 'varnished' });
    expect(found('Aino', 'oars')).toEqual([]);
    expect(found('Aino', 'paddle')).toEqual(['Paddles']);
    await house.must('Aino', 'item.move', { items: [oars], parent: winter });
    expect(found('Aino', 'winter varnished')).toEqual(['Winter storage']);
    await house.must('Aino', 'item.move', { items: [oars], list: null });
    expect(found('Aino', 'winter varnished')).toEqual([]);
    const id = await house.must('Aino', 'item.remove', { items: [oars] });
    expect(found('Aino', 'paddles')).toEqual([]);
    await house.must('Aino', 'undo', { command: id });
    expect(found('Aino', 'paddles')).toEqual(['Paddles']);
    // gone for good, as the system has it after a while
    const { ledger, search } = server.services;
    const rows = ledger.rows(house.houseId);
    search.keep('item', { ...(rows.find('item', oars) as Row<'item'>), purgedAt: ledger.now() }, rows);
    expect(server.raw.prepare('SELECT count(*) AS docs FROM "searchDoc" WHERE "itemId" = ?').get(oars)).toMatchObject({ docs: 0 });
  });

  test('roles: what one may not read neither matches nor counts, also together with what one may', async () => {
    const shared = await listOf('Aino', 'Shared', ['Petri', 'Leila']);
    const aside = await listOf('Aino', 'Aside');
    const petris = await listOf('Petri', 'Petri’s');
    await make('Aino', { title: 'Lantern shared', list: shared });
    await make('Aino', { title: 'Lantern aside', list: aside });
    await make('Petri', { title: 'Lantern of Petri', list: petris });
    await make('Aino', { title: 'Lantern handed over', persons: [house.person('Tapio')] });
    await make('Aino', { title: 'Lantern of Aino’s pile' });
    const table: Record<string, string[]> = {
      Aino: ['Lantern aside', 'Lantern handed over', 'Lantern of Aino’s pile', 'Lantern shared'],
      Petri: ['Lantern of Petri', 'Lantern shared'],
      Leila: ['Lantern shared'],
      Tapio: ['Lantern handed over'],
    };
    for (const [who, titles] of Object.entries(table)) {
      expect([who, found(who, 'lantern').sort()]).toEqual([who, titles]);
      expect([who, (await sent(who, 'lanterns')).sort()]).toEqual([who, titles]);
    }
    // a list one may no longer open leaves at once
    await house.must('Aino', 'list.share', { list: shared, person: house.person('Leila'), access: null });
    expect(found('Leila', 'lantern')).toEqual([]);
    // another house has the same words
    const other = await Household.of(server, {});
    await other.must('Aino', 'item.add', { title: 'Lantern next door' });
    expect(found('Aino', 'door')).toEqual([]);
  });

  test('a private word between two is found by these two', async () => {
    const shared = await listOf('Aino', 'Shared', ['Petri', 'Leila']);
    const item = await make('Aino', { title: 'Sauna pump', list: shared, persons: [house.person('Leila')] });
    await house.must('Leila', 'part.decline', { item, reason: 'My back hurts' });
    const said = server.services.ledger.rows(house.houseId).by('comment', 'itemId', item);
    expect(said.map(({ audience }) => audience)).toEqual(['pair']);
    for (const who of ['Aino', 'Leila']) expect(found(who, 'pump hurts')).toEqual(['Sauna pump']);
    for (const words of ['hurts', 'pump hurts']) {
      expect(found('Petri', words)).toEqual([]);
      expect(await sent('Petri', words)).toEqual([]);
    }
    expect(found('Petri', 'pump')).toEqual(['Sauna pump']);
    // and so is the name of what came with it
    await house.must('Leila', 'attachment.add', { comment: said[0]!.id, name: 'xray_shoulder.png', size: 10 });
    for (const who of ['Aino', 'Leila']) expect(found(who, 'pump shoulder')).toEqual(['Sauna pump']);
    for (const words of ['xray', 'pump shoulder']) expect([found('Petri', words), await sent('Petri', words)]).toEqual([[], []]);
  });

  test('by the name of a file, until it is taken away', async () => {
    const item = await make('Aino', { title: 'Sauna stove' });
    await house.must('Aino', 'attachment.add', { item, name: 'manual-Kipina.pdf', size: 10 });
    const { id: file } = server.services.ledger.rows(house.houseId).by('attachment', 'itemId', item)[0]!;
    expect(found('Aino', 'kipinä manual')).toEqual(['Sauna stove']);
    await house.must('Aino', 'attachment.remove', { attachment: file });
    expect(found('Aino', 'kipinä')).toEqual([]);
  });

  test('what was there before the index is taken in, a piece at a time, and what is written meanwhile is not lost', async () => {
    const list = await listOf('Aino', 'Many');
    for (let nth = 0; nth < 130; nth++) await make('Aino', { title: `Peg ${nth} red`, list });
    server.raw.exec('DELETE FROM "searchHouse"; DELETE FROM "searchDoc"; DELETE FROM "searchText"');
    const { ledger, search } = server.services;
    const filling = fillingSearch(server.raw, search, (houseId) => ledger.rows(houseId));
    filling.next();
    expect(search.isFilled(house.houseId)).toBe(false);
    // until then it is read through
    expect((await sent('Aino', 'peg 129')).sort()).toEqual(['Peg 129 red']);
    await make('Aino', { title: 'Peg late red', list });
    // broken off, and begun again
    atOnce(fillingSearch(server.raw, search, (houseId) => ledger.rows(houseId)));
    expect(search.isFilled(house.houseId)).toBe(true);
    expect(found('Aino', 'pegs')).toHaveLength(131);
    expect(found('Aino', 'red peg', 50)).toHaveLength(50);
    expect(server.raw.prepare('SELECT count(*) - count(DISTINCT "rowId") AS twice FROM "searchDoc"').get()).toMatchObject({ twice: 0 });
  });
});
