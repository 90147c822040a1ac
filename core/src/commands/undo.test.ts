import { isDone } from '../followup/standing.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Eetu');
  const list = w.list('Aino', 'Rooms', [['Eetu', 'edit']]);
  const item = w.item('Aino', 'Air room 2', { list });
  return { w, list, item };
}

test('a check-off: the part stands where it stood, and who had not read it yet is not told at all', () => {
  const { w, item } = house();
  w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila')] });
  w.must('Leila', 'part.accept', { item });
  const { id } = w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  expect(w.told('Aino')).toEqual(['completed']);
  w.must('Leila', 'undo', { command: id });
  expect(w.part(item, 'Leila')).toMatchObject({ standing: 'accepted', completedAt: null, stood: null });
  expect(w.told('Aino')).toEqual([]);
});

test('a removal: the item and the steps that went with it are back', () => {
  const { w, item, list } = house();
  w.must('Aino', 'item.add', { title: 'Window', parent: item, list });
  const { id } = w.must('Aino', 'item.remove', { items: [item] });
  expect(w.rows.all('item').filter((row) => row.removedAt)).toHaveLength(2);
  w.must('Aino', 'undo', { command: id });
  expect(w.rows.all('item').filter((row) => row.removedAt)).toHaveLength(0);
});

test('a handover nobody has answered: it was never given, and is nobody’s again', () => {
  const { w, item } = house();
  const { id } = w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila')], due: '2026-11-27', policy: 'each' });
  w.must('Aino', 'undo', { command: id });
  expect(w.part(item, 'Leila').takenBackAt).not.toBeNull();
  expect(w.part(item, null).takenBackAt).toBeNull();
  expect(w.row(item)).toMatchObject({ due: null, policy: 'any' });
  expect(w.told('Leila')).toEqual([]);
});

test('a handover that showed a sign of life is taken back openly', () => {
  const { w, item } = house();
  const { id } = w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila')] });
  w.must('Leila', 'part.accept', { item });
  const { notes } = w.must('Aino', 'undo', { command: id });
  expect(notes).toContainEqual({ code: 'taken-back', params: { name: 'Leila' } });
  expect(w.told('Leila')).toContain('taken-back');
});

test('what somebody else wrote since is left alone, and said', () => {
  const { w, item } = house();
  const { id } = w.must('Aino', 'item.change', { item, title: 'Air room 3', notes: 'Both windows' });
  w.must('Eetu', 'item.change', { item, title: 'Air rooms 2 and 3' });
  const { notes } = w.must('Aino', 'undo', { command: id });
  expect(w.row(item)).toMatchObject({ title: 'Air rooms 2 and 3', notes: '' });
  expect(notes).toContainEqual({ code: 'left-alone', params: { fields: ['title'], title: 'Air rooms 2 and 3' } });
});

test('a move: back to its place', () => {
  const { w, item, list } = house();
  const other = w.list('Aino', 'Kitchen');
  const { position } = w.row(item);
  const { id } = w.must('Aino', 'item.move', { items: [item], list: other });
  w.must('Aino', 'undo', { command: id });
  expect(w.row(item)).toMatchObject({ listId: list, position });
});

test('a move: what was put under it since goes back with it', () => {
  const { w, item, list } = house();
  const other = w.list('Aino', 'Kitchen');
  const { id } = w.must('Aino', 'item.move', { items: [item], list: other });
  const step = w.item('Aino', 'Open the window', { parent: item });
  const below = w.item('Aino', 'Oil the hinge', { parent: step });
  w.must('Aino', 'undo', { command: id });
  expect([item, step, below].map((each) => w.row(each).listId)).toEqual([list, list, list]);
});

test('a move out of an item: back under it, where that is now', () => {
  const { w, item, list } = house();
  const step = w.item('Aino', 'Open the window', { parent: item });
  const { id } = w.must('Aino', 'item.move', { items: [step], list });
  const other = w.list('Aino', 'Kitchen');
  w.must('Aino', 'item.move', { items: [item], list: other });
  w.must('Aino', 'undo', { command: id });
  expect(w.row(step)).toMatchObject({ parentId: item, listId: other });
});

test('another’s doing, or what one may no longer do, is not undone', () => {
  const { w, item, list } = house();
  const { id } = w.must('Eetu', 'item.change', { item, title: 'X' });
  expect(w.refused('Aino', 'undo', { command: id }).code).toBe('not-allowed');
  w.must('Aino', 'list.share', { list, person: w.person('Eetu'), access: null });
  expect(w.refused('Eetu', 'undo', { command: id }).code).toBe('not-allowed');
  expect(w.row(item).title).toBe('X');
});

test('undoing the last missing part’s check-off reopens the whole', () => {
  const { w, item } = house();
  w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila'), w.person('Eetu')], policy: 'each' });
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  const { id } = w.must('Eetu', 'part.checkOff', { item, person: w.person('Eetu') });
  expect(isDone(w.row(item), w.parts(item))).toBe(true);
  w.must('Eetu', 'undo', { command: id });
  expect(isDone(w.row(item), w.parts(item))).toBe(false);
});

describe('undoing the tick of a step', () => {
  function stepped() {
    const w = new World();
    w.join('Leila', 'helper');
    const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
    const towels = w.item('Aino', 'Towels', { list, persons: [w.person('Leila')] });
    const big = w.item('Aino', 'Big ones', { parent: towels });
    const tick = (by: string, item: string, person: string | null) => w.must(by, 'part.checkOff', { item, person });
    return { w, towels, big, tick, standing: () => w.part(towels, 'Leila').standing };
  }
  test('leaves done what was done before it', () => {
    const { w, towels, big, tick, standing } = stepped();
    tick('Leila', towels, w.person('Leila'));
    w.later(1);
    const { id } = tick('Aino', big, null);
    w.must('Aino', 'undo', { command: id });
    expect(standing()).toBe('completed');
  });
  test('opens again what was closed with it', () => {
    const { w, towels, big, tick, standing } = stepped();
    const { id } = tick('Aino', big, null);
    w.later(1);
    tick('Leila', towels, w.person('Leila'));
    w.must('Aino', 'undo', { command: id });
    expect(standing()).not.toBe('completed');
  });
});

test('what is left alone is named, also where the row has no name of its own', () => {
  const w = new World();
  w.join('Leila', 'helper');
  const item = w.item('Aino', 'Towels', { persons: [w.person('Leila')] });
  const { id } = w.must('Aino', 'part.planFor', { item, person: w.person('Leila'), plan: '2026-11-30' });
  w.must('Leila', 'part.plan', { items: [item], plan: '2026-12-01' });
  expect(w.must('Aino', 'undo', { command: id }).notes).toContainEqual(
    expect.objectContaining({ code: 'left-alone', params: expect.objectContaining({ title: 'Towels' }) }),
  );
});
