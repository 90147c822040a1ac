import { byPosition } from '../model/position.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Eetu');
  return w;
}
const sections = (w: World, list: string) =>
  w.rows
    .by('section', 'listId', list)
    .filter((section) => !section.removedAt)
    .sort(byPosition)
    .map((section) => section.name);
const listOf = (w: World, name: string) => w.rows.all('list').find((list) => list.name === name)!;

describe('sections', () => {
  const made = () => {
    const w = house();
    w.must('Aino', 'list.make', { name: 'Boathouse', colour: 'petrol', icon: 'anchor', sections: ['On the water', 'On land', 'In the loft'] });
    const list = listOf(w, 'Boathouse').id;
    const id = (name: string) => w.rows.by('section', 'listId', list).find((section) => section.name === name)!.id;
    return { w, list, id };
  };

  test('come in the order they were typed, and are moved beside a neighbour', () => {
    const { w, list, id } = made();
    expect(sections(w, list)).toEqual(['On the water', 'On land', 'In the loft']);
    w.must('Aino', 'section.move', { section: id('In the loft'), before: id('On land') });
    expect(sections(w, list)).toEqual(['On the water', 'In the loft', 'On land']);
  });

  test('removing a heading leaves its items in the list, and one undo brings both back together', () => {
    const { w, list, id } = made();
    const item = w.item('Aino', 'Oars', { list, section: id('On land') });
    const { id: command } = w.must('Aino', 'section.remove', { section: id('On land') });
    expect(w.row(item)).toMatchObject({ listId: list, sectionId: null, removedAt: null });
    w.must('Aino', 'undo', { command });
    expect(sections(w, list)).toContain('On land');
    expect(w.row(item).sectionId).toBe(id('On land'));
  });

  test('renaming loses nothing that hangs on it', () => {
    const { w, list, id } = made();
    const item = w.item('Aino', 'Oars', { list, section: id('On land') });
    w.must('Aino', 'section.change', { section: id('On land'), name: 'Ashore' });
    expect(w.row(item).sectionId).toBe(id('Ashore'));
  });
});

describe('sharing', () => {
  test('what was handed over is kept when the list is shared no more', () => {
    const w = house();
    const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
    const item = w.item('Aino', 'Towels', { list, persons: [w.person('Leila')] });
    w.must('Aino', 'list.share', { list, person: w.person('Leila'), access: null });
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    expect(w.refused('Leila', 'item.add', { title: 'More', list }).code).toBe('not-allowed');
  });

  test.each([
    ['view', 'not-allowed', 'not-allowed'],
    ['check', 'accepted', 'not-allowed'],
    ['edit', 'accepted', 'accepted'],
  ] as const)('%s: checking off is %s, rewording %s', (access, checking, rewording) => {
    const w = house();
    const list = w.list('Aino', 'Rooms', [['Eetu', access]]);
    const item = w.item('Aino', 'Towels', { list });
    const outcome = (tried: ReturnType<World['try']>) => (tried.outcome === 'refused' ? tried.reason.code : tried.outcome);
    expect(outcome(w.try('Eetu', 'item.change', { item, title: 'Big towels' }))).toBe(rewording);
    expect(outcome(w.try('Eetu', 'part.checkOff', { item, person: null }))).toBe(checking);
  });

  test('a new owner has it all; the one before keeps editing', () => {
    const w = house();
    const list = w.list('Aino', 'Rooms');
    w.must('Aino', 'list.giveTo', { list, person: w.person('Eetu') });
    expect(listOf(w, 'Rooms').ownerId).toBe(w.person('Eetu'));
    w.must('Eetu', 'list.change', { list, name: 'Chambers' });
    w.must('Aino', 'item.add', { title: 'Still here', list });
    expect(w.refused('Eetu', 'list.share', { list, person: w.person('Eetu'), access: 'view' }).code).toBe('owner-stays');
  });

  test('a name without an account opens no list', () => {
    const w = house();
    w.must('Aino', 'person.add', { name: 'Engine workshop', mark: 'EW', colour: 'moss', pattern: 'weft' });
    const list = w.list('Aino', 'Rooms');
    expect(w.refused('Aino', 'list.share', { list, person: w.person('Engine workshop'), access: 'view' })).toMatchObject({
      code: 'role-outside',
      field: 'person',
    });
    expect(w.refused('Aino', 'list.giveTo', { list, person: w.person('Engine workshop') }).code).toBe('role-outside');
  });
});

describe('bundles, filing, removing', () => {
  test('unbundling leaves the lists', () => {
    const w = house();
    w.must('Aino', 'bundle.make', { name: 'By the water' });
    const bundle = w.rows.all('bundle')[0]!.id;
    w.must('Aino', 'list.make', { name: 'Boathouse', colour: 'petrol', icon: 'anchor', bundle });
    expect(listOf(w, 'Boathouse').bundleId).toBe(bundle);
    w.must('Aino', 'bundle.remove', { bundle });
    expect(listOf(w, 'Boathouse')).toMatchObject({ bundleId: null, removedAt: null });
  });

  test('a bundle begins with lists in it, and undone they are where they were', () => {
    const w = house();
    const [boats, roof] = [w.list('Aino', 'Boats'), w.list('Aino', 'Roof')];
    const { id: made } = w.must('Aino', 'bundle.make', { name: 'By the water', lists: [boats, roof] });
    const bundle = w.rows.all('bundle')[0]!.id;
    const bundles = () => w.rows.all('list').filter(({ id }) => [boats, roof].includes(id)).map(({ bundleId }) => bundleId); // prettier-ignore
    expect(bundles()).toEqual([bundle, bundle]);
    w.must('Aino', 'undo', { command: made });
    expect(bundles()).toEqual([null, null]);
  });

  test('filed away and brought back, removed and brought back', () => {
    const w = house();
    const list = w.list('Aino', 'Opening');
    w.must('Aino', 'list.file', { list, filed: true });
    expect(listOf(w, 'Opening').filedAt).toBe(w.now);
    w.must('Aino', 'list.file', { list, filed: false });
    w.must('Aino', 'list.remove', { list });
    w.must('Aino', 'list.remove', { list, removed: false });
    expect(listOf(w, 'Opening')).toMatchObject({ filedAt: null, removedAt: null });
  });

  test('lists are put beside one another', () => {
    const w = house();
    const [a, b, c] = ['A', 'B', 'C'].map((name) => w.list('Aino', name)) as [string, string, string];
    w.must('Aino', 'list.change', { list: c, before: a });
    w.must('Aino', 'list.change', { list: b, after: null });
    const order = w.rows
      .all('list')
      .sort(byPosition)
      .map((list) => list.name);
    expect(order).toEqual(['B', 'C', 'A']);
  });
});

test('a new owner is told, and so is the owner of a list that somebody restores', () => {
  const w = new World();
  w.join('Petri', 'manager');
  const list = w.list('Aino', 'Quay', [['Petri', 'edit']]);
  w.must('Aino', 'list.giveTo', { list, person: w.person('Petri') });
  expect(w.told('Petri')).toEqual(['list-given']);
  w.must('Aino', 'list.remove', { list });
  w.must('Aino', 'list.remove', { list, removed: false });
  expect(w.told('Petri')).toEqual(['list-given', 'list-back']);
});
