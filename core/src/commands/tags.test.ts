import { World } from '../testing/world.ts';
import { relationsToItem } from '../access/relations.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Eetu');
  const list = w.list('Aino', 'Yard', [['Eetu', 'edit']]);
  const names = (item: string) => w.row(item).tagIds.map((id) => tagOf(w, id).name);
  return { w, list, names };
}
const tagOf = (w: World, id: string) => {
  const tag = w.rows.find('tag', id);
  if (tag === undefined) throw new Error('no tag');
  return tag;
};
const live = (w: World) => w.rows.all('tag').filter((tag) => !tag.removedAt);
const named = (w: World, name: string) => live(w).find((tag) => tag.name === name)!.id;
const sight = (w: World, who: string) => {
  const person = w.rows.all('person').find((one) => one.name === who)!;
  const rows = w.rows;
  const isSeen = (id: string) => w.rows.by('item', 'tag', id).some((item) => relationsToItem(item, person, rows).length > 0);
  return w.rows.all('tag').flatMap(({ id, name }) => (isSeen(id) ? [name] : [])).sort(); // prettier-ignore
};

test('" Shop", "SHOP" and "shop" are one tag, made where it is first used', () => {
  const { w, names } = house();
  const item = w.item('Aino', 'Candles', { tags: ['shop', ' Shop', 'SHOP'] });
  w.item('Aino', 'Oil', { tags: ['Shop'] });
  expect(live(w).map((tag) => tag.name)).toEqual(['shop']);
  expect(names(item)).toEqual(['shop']);
});

test('new tags take colours nobody has yet', () => {
  const { w } = house();
  w.item('Aino', 'Candles', { tags: ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j'] });
  expect(new Set(live(w).map((tag) => tag.colour)).size).toBe(10);
});

test('a tag on a private list is in nobody else’s sight, and is not found by its name', () => {
  const { w, list } = house();
  w.item('Aino', 'A surprise', { list: w.list('Aino', 'Secrets'), tags: ['birthday'] });
  w.item('Aino', 'Rake', { list, tags: ['autumn'] });
  expect(sight(w, 'Aino')).toEqual(['autumn', 'birthday']);
  expect(sight(w, 'Eetu')).toEqual(['autumn']);
  expect(sight(w, 'Leila')).toEqual([]);
  w.item('Eetu', 'Cake', { tags: ['birthday'] });
  expect(live(w).filter((tag) => tag.name === 'birthday')).toHaveLength(2);
});

test('made one with another: every item carries the one that stays, each once', () => {
  const { w, list, names } = house();
  const both = w.item('Aino', 'Both', { list, tags: ['shop', 'store'] });
  const one = w.item('Aino', 'One', { list, tags: ['store'] });
  const { id } = w.must('Aino', 'tag.merge', { from: named(w, 'store'), into: named(w, 'shop') });
  expect([names(both), names(one)]).toEqual([['shop'], ['shop']]);
  expect(live(w).map((tag) => tag.name)).toEqual(['shop']);
  w.must('Aino', 'undo', { command: id });
  expect(names(one)).toEqual(['store']);
});

test('removed it hangs on nothing; what was under it stands by itself; one undo puts it back on all', () => {
  const { w, list, names } = house();
  const items = ['A', 'B', 'C'].map((title) => w.item('Aino', title, { list, tags: ['wood'] }));
  w.must('Aino', 'tag.make', { name: 'birch', parent: named(w, 'wood') });
  const { id } = w.must('Aino', 'tag.remove', { tag: named(w, 'wood') });
  expect(items.map(names)).toEqual([[], [], []]);
  expect(tagOf(w, named(w, 'birch')).parentId).toBeNull();
  w.must('Aino', 'undo', { command: id });
  expect(items.map(names)).toEqual([['wood'], ['wood'], ['wood']]);
});

test('a name that is taken, and a tag under itself, are refused beside their field', () => {
  const { w } = house();
  w.must('Aino', 'tag.make', { name: 'wood' });
  w.must('Aino', 'tag.make', { name: 'birch', parent: named(w, 'wood') });
  expect(w.refused('Aino', 'tag.make', { name: ' WOOD ' })).toMatchObject({ code: 'tag-exists', field: 'name' });
  expect(w.refused('Aino', 'tag.change', { tag: named(w, 'birch'), name: 'wood' })).toMatchObject({ code: 'tag-exists' });
  expect(w.refused('Aino', 'tag.change', { tag: named(w, 'wood'), parent: named(w, 'birch') })).toMatchObject({ code: 'into-itself', field: 'parent' });
  expect(w.refused('Aino', 'tag.merge', { from: named(w, 'wood'), into: named(w, 'wood') })).toMatchObject({ code: 'into-itself' });
});

describe('places and situations', () => {
  test('one of a name; renamed, everything done there stays', () => {
    const { w } = house();
    w.must('Aino', 'place.make', { name: 'Quay' });
    const place = w.rows.all('place')[0]!.id;
    const item = w.item('Aino', 'Tie the boat', { place });
    expect(w.refused('Eetu', 'place.make', { name: 'quay' })).toMatchObject({ code: 'name-taken', field: 'name' });
    w.must('Aino', 'place.change', { place, name: 'Jetty' });
    expect(w.row(item).placeId).toBe(place);
    w.must('Aino', 'place.change', { place, removed: true });
    w.must('Eetu', 'place.make', { name: 'Jetty' });
  });

  test('what an item needs has to be known', () => {
    const { w } = house();
    w.must('Leila', 'situation.make', { name: 'guests out', kind: 'event' });
    const situation = w.rows.all('situation')[0]!.id;
    expect(w.row(w.item('Aino', 'Air the rooms', { situations: [situation] })).situationIds).toEqual([situation]);
    expect(w.refused('Aino', 'item.add', { title: 'A', situations: [w.person('Aino')] }).code).toBe('gone');
    expect(w.refused('Aino', 'item.add', { title: 'A', place: w.person('Aino') }).code).toBe('gone');
  });
});
