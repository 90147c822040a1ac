import { USUAL_PIN_LIMIT, pinnedBy } from '../model/pin.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'List', [['Leila', 'check']]);
  const items = Array.from({ length: USUAL_PIN_LIMIT + 2 }, (_, nth) => w.item('Aino', `Item ${nth}`, { list }));
  const onTop = (name: string) => pinnedBy(w.person(name), w.rows).map((id) => w.row(id).title);
  return { w, list, items: items as [string, string, string, ...string[]], onTop };
}

test('each person’s own, in the order they were put there; taken off, put back, and each of it undone', () => {
  const { w, items, onTop } = house();
  const [a, b] = items;
  w.must('Aino', 'item.pin', { item: b, on: true });
  w.later(1);
  w.must('Aino', 'item.pin', { item: a, on: true });
  w.must('Leila', 'item.pin', { item: a, on: true });
  expect(onTop('Aino')).toEqual(['Item 1', 'Item 0']);
  expect(onTop('Leila')).toEqual(['Item 0']);
  const { id } = w.must('Aino', 'item.pin', { item: b, on: false });
  expect(onTop('Aino')).toEqual(['Item 0']);
  w.must('Aino', 'undo', { command: id });
  expect(onTop('Aino')).toEqual(['Item 1', 'Item 0']);
  const { id: made } = w.must('Leila', 'item.pin', { item: b, on: true });
  w.must('Leila', 'undo', { command: made });
  expect(onTop('Leila')).toEqual(['Item 0']);
});

test('no more than stand out; what is done or removed makes room; what one can’t see one can’t keep', () => {
  const { w, list, items, onTop } = house();
  for (const item of items.slice(0, USUAL_PIN_LIMIT)) w.must('Aino', 'item.pin', { item, on: true });
  expect(w.refused('Aino', 'item.pin', { item: items[USUAL_PIN_LIMIT]!, on: true })).toMatchObject({ code: 'pins-full', params: { max: USUAL_PIN_LIMIT } });
  // somebody else's number is theirs; fewer than there are takes none away
  w.must('Aino', 'view.arrange', { view: 'today', pinLimit: 3 });
  expect(onTop('Aino')).toHaveLength(USUAL_PIN_LIMIT);
  expect(w.refused('Aino', 'item.pin', { item: items[USUAL_PIN_LIMIT]!, on: true })).toMatchObject({ params: { max: 3 } });
  w.must('Aino', 'view.arrange', { view: 'today', pinLimit: USUAL_PIN_LIMIT });
  // what is there already may be said again
  w.must('Aino', 'item.pin', { item: items[0], on: true });
  expect(onTop('Aino')).toHaveLength(USUAL_PIN_LIMIT);
  w.must('Aino', 'part.checkOff', { item: items[1], person: null });
  w.must('Aino', 'item.pin', { item: items[USUAL_PIN_LIMIT]!, on: true });
  w.must('Aino', 'item.remove', { items: [items[2]] });
  w.must('Aino', 'item.pin', { item: items[USUAL_PIN_LIMIT + 1]!, on: true });
  w.must('Aino', 'list.share', { list, person: w.person('Leila'), access: null });
  expect(w.refused('Leila', 'item.pin', { item: items[0], on: true }).code).toBe('not-allowed');
});
