import { MemoryRows } from '../reader/memory.ts';
import { above, DEEPEST, goesRound, levelsBelow, withBelow } from '../reader/tree.ts';
import { outlineOf } from '../views/outline.ts';
import { idOf, World } from '../testing/world.ts';

const pair = () => {
  const w = new World();
  return { w, a: w.item('Aino', 'A'), b: w.item('Aino', 'B') };
};

describe('undoing is held to what the commands themselves are held to', () => {
  test('an item is not put below what lies below it by now', () => {
    const { w, a, b } = pair();
    w.must('Aino', 'item.move', { items: [a], parent: b });
    const { id: toTop } = w.must('Aino', 'item.move', { items: [a] });
    w.must('Aino', 'item.move', { items: [b], parent: a });
    expect(w.refused('Aino', 'undo', { command: toTop })).toMatchObject({ code: 'into-itself', params: { title: 'A' } });
    expect([w.row(a).parentId, w.row(b).parentId]).toEqual([null, a]);
  });

  test('nor a tag', () => {
    const w = new World();
    for (const name of ['wood', 'shore']) w.must('Aino', 'tag.make', { name });
    const [wood, shore] = w.rows.all('tag').map(({ id }) => id) as [string, string];
    w.must('Aino', 'tag.change', { tag: wood, parent: shore });
    const { id: freed } = w.must('Aino', 'tag.change', { tag: wood, parent: null });
    w.must('Aino', 'tag.change', { tag: shore, parent: wood });
    expect(w.refused('Aino', 'undo', { command: freed })).toMatchObject({ code: 'into-itself' });
  });

  test('nor back into what was removed meanwhile', () => {
    const { w, a, b } = pair();
    w.must('Aino', 'item.move', { items: [a], parent: b });
    const { id: toTop } = w.must('Aino', 'item.move', { items: [a] });
    w.must('Aino', 'item.remove', { items: [b] });
    expect(w.refused('Aino', 'undo', { command: toTop })).toMatchObject({ code: 'lies-in-removed', params: { title: 'A' } });
  });

  test('nor back into a list that is no more', () => {
    const w = new World();
    const list = w.list('Aino', 'Yard');
    const rake = w.item('Aino', 'Rake', { list });
    w.must('Aino', 'list.remove', { list });
    const { id: out } = w.must('Aino', 'item.move', { items: [rake] });
    expect(w.refused('Aino', 'undo', { command: out })).toMatchObject({ code: 'lies-in-removed', params: { title: 'Rake' } });
    expect(w.row(rake).listId).toBeNull();
  });

  test('what was put under something goes with it when its making is undone', () => {
    const w = new World();
    const { id: made } = w.must('Aino', 'item.add', { title: 'A' });
    const a = w.rows.all('item')[0]!.id;
    const step = w.item('Aino', 'Step', { parent: a });
    w.must('Aino', 'undo', { command: made });
    expect(w.row(step).removedAt).not.toBeNull();
  });
});

test('a step lies at most 20 deep, however it comes there', () => {
  const w = new World();
  let deepest = w.item('Aino', 'Top');
  for (let nth = 0; nth < DEEPEST; nth++) deepest = w.item('Aino', `Step ${nth}`, { parent: deepest });
  expect(w.refused('Aino', 'item.add', { title: 'Too deep', parent: deepest })).toMatchObject({ code: 'too-deep', params: { max: DEEPEST } });
  const other = w.item('Aino', 'Other');
  w.item('Aino', 'Below other', { parent: other });
  const second = w.rows.all('item').find(({ title }) => title === `Step ${DEEPEST - 2}`)!.id;
  expect(w.refused('Aino', 'item.move', { items: [other], parent: second })).toMatchObject({ code: 'too-deep' });
});

test('one command makes at most 2,000 rows', () => {
  const w = new World();
  ['Leila', 'Noor', 'Tapio', 'Petri'].forEach((name) => w.join(name));
  const persons = w.rows.all('person').map(({ id }) => id);
  const items = Array.from({ length: 500 }, (_, nth) => ({ title: `Thing ${nth}`, persons }));
  expect(w.refused('Aino', 'item.addMany', { items })).toMatchObject({ code: 'too-many', params: { max: 2_000 } });
});

test('one command makes at most 100 chores: each is worked out by its rule', () => {
  const w = new World();
  const rule = { rrule: 'FREQ=DAILY', afterDone: null, time: null };
  const items = Array.from({ length: 101 }, (_, nth) => ({ title: `Water ${nth}`, rule }));
  expect(w.refused('Aino', 'item.addMany', { items })).toMatchObject({ code: 'too-many-chores', params: { max: 100 } });
  w.must('Aino', 'item.addMany', { items: items.slice(1) });
  expect(w.rows.all('series')).toHaveLength(100);
});

test('rows that lead round in a circle, as no command leaves them, hang no walk', () => {
  const rows = new MemoryRows('all');
  const ring = ['a', 'b', 'c'];
  ring.forEach((id, nth) => rows.put('item', { id, parentId: ring[(nth + 1) % 3]!, houseId: 'h', seq: 1, stamps: {} } as never));
  const find = (_noun: 'item', id: string) => rows.find('item', id) as never;
  expect([...above({ id: 'a', parentId: 'b' }, { find })].map(({ id }) => id)).toEqual(['b', 'c']);
  expect([...withBelow('a', rows)].sort()).toEqual(ring);
  expect(levelsBelow('a', 7, rows)).toBe(7);
  expect(goesRound({ id: 'a', parentId: 'b' }, (one) => find('item', one.parentId) as { id: string; parentId: string })).toBe(true);
  const nodes = ring.map((id) => ({ id, parentId: null }));
  expect(outlineOf([nodes[0]!], () => nodes).map(({ node }) => node.id)).toEqual(['a', 'b', 'c']);
});

describe('years', () => {
  const reason = { code: 'year-out-of-range', params: { first: 1970, last: 2199 } };
  test.each(['0026-12-31', '1969-12-31', '2200-01-01T08:00', '9999-12-31'])('%s is no day of a house', (day) => {
    const { w, a } = pair();
    expect(w.refused('Aino', 'item.setDue', { item: a, due: day })).toMatchObject({ ...reason, field: 'due' });
    expect(w.refused('Aino', 'item.add', { title: 'C', plan: day })).toMatchObject({ ...reason, field: 'plan' });
    expect(w.refused('Aino', 'away.add', { person: w.person('Aino'), from: '2026-12-01', to: day.slice(0, 10) })).toMatchObject(reason);
    expect(w.refused('Aino', 'alarm.set', { item: a, trigger: { kind: 'absolute', at: `${day.slice(0, 10)}T08:00` } })).toMatchObject(reason);
  });

  test('the last day there is can be used everywhere', () => {
    const { w, a } = pair();
    w.must('Aino', 'item.setDue', { item: a, due: '2199-12-31' });
    w.must('Aino', 'away.add', { person: w.person('Aino'), from: '2199-12-01', to: '2199-12-31' });
    w.must('Aino', 'alarm.set', { item: a, trigger: { kind: 'relative', to: 'due', offset: 'P9999D' } });
    w.must('Aino', 'part.plan', { items: [a], plan: '2199-12-31' });
  });

  test('undoing does not bring a day back that lies outside', () => {
    const { w, a } = pair();
    w.rows.put('item', { ...w.row(a), due: '0026-12-31' });
    const { id } = w.must('Aino', 'item.setDue', { item: a, due: '2026-12-31' });
    expect(w.refused('Aino', 'undo', { command: id })).toMatchObject({ ...reason, field: 'due' });
  });
});

test('a command kept from before its bounds is not undone, and says so', () => {
  const { w, a } = pair();
  const id = idOf('old');
  w.rows.remember({ id, name: 'item.setDue', actorId: w.person('Aino'), payload: { item: a, due: '0026-12-31' }, changes: [] });
  expect(w.refused('Aino', 'undo', { command: id })).toMatchObject({ code: 'nothing-to-undo' });
});
