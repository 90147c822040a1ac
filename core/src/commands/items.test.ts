import { byPosition } from '../model/position.ts';
import { World } from '../testing/world.ts';

function house() {
  const w = new World();
  w.join('Eetu');
  const list = w.list('Aino', 'Boathouse', [['Eetu', 'edit']]);
  return { w, list };
}
const titles = (w: World, list: string) =>
  w.rows
    .by('item', 'listId', list)
    .filter((item) => !item.removedAt && item.parentId === null)
    .sort(byPosition)
    .map((item) => item.title);

test('items come in the order they were typed; one made offline by another is in the same place', () => {
  const { w, list } = house();
  for (const title of ['One', 'Two', 'Three']) w.item('Aino', title, { list });
  expect(titles(w, list)).toEqual(['One', 'Two', 'Three']);
  w.item('Eetu', 'First', { list, after: null });
  expect(titles(w, list)).toEqual(['First', 'One', 'Two', 'Three']);
});

test('several added at once, with their steps and what was ticked: one action, one undo', () => {
  const { w, list } = house();
  const { id } = w.must('Aino', 'item.addMany', {
    list,
    items: [{ title: 'Jackets' }, { title: 'Small sizes', under: 0 }, { title: 'Whistles', under: 0, ticked: true }, { title: 'Oars', due: '2026-11-27' }],
  });
  expect(titles(w, list)).toEqual(['Jackets', 'Oars']);
  const step = (title: string) => w.rows.all('item').find((item) => item.title === title)!;
  expect([step('Small sizes').parentId, step('Whistles').parentId]).toEqual([step('Jackets').id, step('Jackets').id]);
  expect(w.part(step('Whistles').id, null).standing).toBe('completed');
  expect(w.refused('Aino', 'item.addMany', { list, items: [{ title: 'A', under: 3 }] })).toMatchObject({ code: 'malformed', field: 'items.0.under' });
  expect(w.refused('Aino', 'item.addMany', { list, items: [{ title: 'A' }, { title: ' ' }] })).toMatchObject({ code: 'title-empty', field: 'items.1.title' });
  w.must('Aino', 'undo', { command: id });
  expect(titles(w, list)).toEqual([]);
});

test('several moved together keep their order, and their steps go along', () => {
  const { w, list } = house();
  const other = w.list('Aino', 'Kitchen');
  const [a, b, c] = ['A', 'B', 'C'].map((title) => w.item('Aino', title, { list })) as [string, string, string];
  const step = w.item('Aino', 'Step of B', { parent: b });
  const below = w.item('Aino', 'Below it', { parent: step });
  w.must('Aino', 'item.move', { items: [a, b], list: other });
  expect(titles(w, other)).toEqual(['A', 'B']);
  expect(titles(w, list)).toEqual(['C']);
  expect([step, below].map((id) => w.row(id).listId)).toEqual([other, other]);
  expect(w.refused('Aino', 'item.move', { items: [b], parent: below }).code).toBe('into-itself');
  void c;
});

describe('two change the same', () => {
  test('a deadline set meanwhile is kept, mine is refused with who set what', () => {
    const { w, list } = house();
    const item = w.item('Aino', 'Order fish', { list });
    const seen = w.seq;
    w.must('Aino', 'item.setDue', { item, due: '2026-11-27' });
    const reason = w.refused('Eetu', 'item.setDue', { item, due: '2026-11-30' }, { seen });
    expect(reason).toMatchObject({ code: 'changed-since', field: 'due', params: { by: 'Aino', value: '2026-11-27' } });
    expect(w.row(item).due).toBe('2026-11-27');
    w.must('Eetu', 'item.setDue', { item, due: '2026-11-30' });
    expect(w.row(item).due).toBe('2026-11-30');
  });

  test('titles: the later arrival wins, and the history has both', () => {
    const { w, list } = house();
    const item = w.item('Aino', 'Fish', { list });
    const seen = w.seq;
    w.must('Aino', 'item.change', { item, title: 'Order fish' });
    w.must('Eetu', 'item.change', { item, title: 'Order the pike' }, { seen });
    expect(w.row(item).title).toBe('Order the pike');
    const changes = w.rows.by('activity', 'itemId', item).filter((entry) => entry.kind === 'item.change');
    expect(changes.map((entry) => entry.params.to).sort()).toEqual(['Order fish', 'Order the pike']);
  });

  test('notes merge line by line', () => {
    const { w, list } = house();
    const item = w.item('Aino', 'Menu', { list, notes: 'soup\nfish\nberries' });
    const base = w.row(item).notes;
    w.must('Aino', 'item.change', { item, notes: 'soup\nfish\nberries\ncoffee', notesBase: base });
    w.must('Eetu', 'item.change', { item, notes: 'pea soup\nfish\nberries', notesBase: base });
    expect(w.row(item).notes).toBe('pea soup\nfish\nberries\ncoffee');
  });

  test('what does not merge stands one after the other', () => {
    const { w, list } = house();
    const item = w.item('Aino', 'Menu', { list, notes: 'soup\nfish' });
    const base = w.row(item).notes;
    w.must('Aino', 'item.change', { item, notes: 'soup\npike', notesBase: base });
    const { notes } = w.must('Eetu', 'item.change', { item, notes: 'soup\nperch', notesBase: base });
    expect(w.row(item).notes).toBe('soup\npike\nperch');
    expect(notes).toEqual([{ code: 'merged-beside', params: {} }]);
  });
});

describe('bad input', () => {
  test.each([
    ['an empty title', { title: '   ' }, { code: 'title-empty', field: 'title' }],
    ['a title of 5,000 characters', { title: 'x'.repeat(5000) }, { code: 'too-long', field: 'title', params: { max: 500 } }],
    ['a day that does not exist', { title: 'A', due: '2026-02-31' }, { code: 'malformed', field: 'due' }],
    ['a deadline before its start', { title: 'A', due: '2026-11-27', start: '2026-12-01' }, { code: 'due-before-start', field: 'due' }],
    ['a person nobody knows', { title: 'A', persons: ['6ba7b811-9dad-41d1-80b4-00c04fd430c8'] }, { code: 'unknown-person' }],
  ])('%s is refused beside its cause', (_name, payload, reason) => {
    const { w } = house();
    expect(w.refused('Aino', 'item.add', payload)).toMatchObject(reason);
    expect(w.rows.all('item')).toHaveLength(0);
  });

  test('a deadline in the past is allowed, and said', () => {
    const { w, list } = house();
    expect(w.must('Aino', 'item.add', { title: 'Late already', list, due: '2026-11-20' }).notes).toEqual([{ code: 'due-past', params: { due: '2026-11-20' } }]);
  });
});

test('a check-off of what was removed meanwhile counts, and says so', () => {
  const { w, list } = house();
  const item = w.item('Aino', 'Gone', { list });
  w.must('Aino', 'item.remove', { items: [item] });
  expect(w.must('Eetu', 'part.checkOff', { item, person: null }).notes).toEqual([{ code: 'removed-meanwhile', params: { title: 'Gone' } }]);
  expect(w.part(item, null).standing).toBe('completed');
});

test('into a list one may only look at nothing is moved, and all of it stays', () => {
  const { w, list } = house();
  w.item('Eetu', 'Rake', { list });
  w.item('Eetu', 'Hoe', { list });
  const accounts = w.list('Aino', 'Accounts', [['Eetu', 'view']]);
  const items = w.rows.by('item', 'listId', list).map(({ id }) => id);
  expect(w.refused('Eetu', 'item.move', { items, list: accounts }).code).toBe('not-allowed');
  expect(titles(w, list)).toEqual(['Rake', 'Hoe']);
  expect(titles(w, accounts)).toEqual([]);
});

test('what lay in a list that is gone comes back where it is seen: into one’s own pile, or the list one says', () => {
  const w = new World();
  w.join('Petri');
  const [old, next] = [w.list('Aino', 'Old', [['Petri', 'edit']]), w.list('Aino', 'Next')]; // prettier-ignore
  const [a, b] = ['A', 'B'].map((title) => w.item('Aino', title, { list: old })) as [string, string];
  const step = w.item('Aino', 'Step of B', { parent: b });
  w.must('Aino', 'item.remove', { items: [a, b] });
  w.must('Aino', 'list.remove', { list: old, removed: true });
  const { id } = w.must('Petri', 'item.bringBack', { items: [a] });
  expect(w.row(a)).toMatchObject({ removedAt: null, listId: null, makerId: w.person('Petri') });
  w.must('Petri', 'undo', { command: id });
  expect(w.row(a)).toMatchObject({ listId: old, makerId: w.person('Aino') });
  expect(w.row(a).removedAt).not.toBeNull();
  w.must('Aino', 'item.bringBack', { items: [b], list: next });
  expect([b, step].map((one) => [w.row(one).listId, w.row(one).removedAt])).toEqual([[next, null], [next, null]]); // prettier-ignore
  // into a list one may not add to it can't
  w.must('Aino', 'item.remove', { items: [b] });
  expect(w.refused('Petri', 'item.bringBack', { items: [a], list: next }).code).toBe('not-allowed');
});

test('removed for good: with its steps and what was said, for nobody to bring back; never what is not removed', () => {
  const w = new World();
  w.join('Petri');
  const list = w.list('Aino', 'List', [['Petri', 'check']]);
  const [a, kept] = ['A', 'Kept'].map((title) => w.item('Aino', title, { list, notes: 'words' })) as [string, string];
  const step = w.item('Aino', 'Step', { parent: a });
  w.must('Aino', 'comment.say', { item: a, text: 'said' });
  w.must('Aino', 'item.remove', { items: [a] });
  expect(w.refused('Aino', 'item.purgeRemoved', { items: [a, kept] })).toMatchObject({ code: 'not-removed', params: { title: 'Kept' } });
  expect(w.refused('Petri', 'item.purgeRemoved', { items: [a] }).code).toBe('not-allowed');
  const { id } = w.must('Aino', 'item.purgeRemoved', { items: [a] });
  expect([a, step].map((one) => w.row(one).purgedAt === null)).toEqual([false, false]);
  expect(w.row(a).notes).toBe('');
  expect(w.rows.by('comment', 'itemId', a).map(({ text }) => text)).toEqual(['']);
  expect(w.try('Aino', 'undo', { command: id }).outcome).toBe('refused');
  expect(w.refused('Aino', 'item.bringBack', { items: [a] }).code).toMatch(/gone|not-allowed/);
});

test('a time the clocks pass over in March is kept as the one it is rung at, wherever a moment is said', () => {
  const w = new World();
  const item = w.item('Aino', 'Turn the barn clock', { due: '2027-03-28T03:30', start: '2027-03-28T03:10', persons: [w.person('Aino')] });
  expect(w.row(item)).toMatchObject({ due: '2027-03-28T04:30', start: '2027-03-28T04:10' });
  w.must('Aino', 'part.plan', { items: [item], plan: '2027-03-28T03:15' });
  expect(w.rows.by('part', 'itemId', item).map(({ plan }) => plan)).toContain('2027-03-28T04:15');
  const other = w.item('Aino', 'Look after the hens');
  w.must('Aino', 'item.setDue', { item: other, due: '2027-03-28T03:59' });
  expect(w.row(other).due).toBe('2027-03-28T04:59');
  w.must('Aino', 'slot.book', { items: [item], start: '2027-03-28T03:00', minutes: 30 });
  expect(w.rows.all('slot').map(({ start }) => start)).toEqual(['2027-03-28T04:00']);
});

describe('what is removed is not just gone', () => {
  function handed() {
    const w = new World();
    for (const name of ['Leila', 'Petri']) w.join(name);
    const list = w.list('Aino', 'Kitchen', [['Leila', 'check'], ['Petri', 'edit']]); // prettier-ignore
    const fish = w.item('Aino', 'Order the fish', { list, persons: [w.person('Leila')] });
    const menu = w.item('Aino', 'Write the menu', { list });
    const salt = w.item('Aino', 'Buy salt', { parent: menu, persons: [w.person('Leila')] });
    w.item('Aino', 'Count the plates', { list, persons: [w.person('Aino')] });
    const gone = (name: string) => w.rows.all('notice').filter((one) => one.personId === w.person(name) && one.kind === 'removed' && one.withdrawnAt === null).map(({ params }) => params); // prettier-ignore
    return { w, list, fish, menu, salt, gone };
  }

  test('whoever was handed it hears, and whoever gave it where another removes it; once for all that goes at once, with what lies beneath', () => {
    const { w, fish, menu, gone } = handed();
    w.must('Petri', 'item.remove', { items: [fish, menu] });
    expect(gone('Leila')).toEqual([{ title: 'Order the fish', count: 1 }]);
    expect(gone('Aino')).toEqual([{ title: 'Order the fish', count: 1 }]);
    expect(gone('Petri')).toEqual([]);
  });

  test('with a list as well; what is done, taken back or gone already is nobody’s loss, and undone they hear nothing', () => {
    const { w, list, fish, salt, gone } = handed();
    w.must('Leila', 'part.checkOff', { item: salt, person: w.person('Leila') });
    const { id } = w.must('Aino', 'list.remove', { list });
    expect(gone('Leila')).toEqual([{ title: 'Order the fish', count: 0 }]);
    expect(gone('Aino')).toEqual([]);
    w.must('Aino', 'undo', { command: id });
    expect(gone('Leila')).toEqual([]);
    w.must('Aino', 'part.takeBack', { item: fish, persons: [w.person('Leila')] });
    w.must('Aino', 'item.remove', { items: [fish] });
    expect(gone('Leila')).toEqual([]);
  });
});
