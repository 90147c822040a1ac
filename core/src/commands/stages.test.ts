import { stageOf } from '../followup/stages.ts';
import { boardOf } from '../planning/board.ts';
import { groupBy } from '../planning/arrange.ts';
import { World } from '../testing/world.ts';

function pier() {
  const w = new World();
  w.join('Tapio', 'helper');
  w.join('Marek', 'helper');
  w.join('Petri', 'manager');
  const list = w.list('Aino', 'The new pier', [['Tapio', 'check'], ['Petri', 'edit']]); // prettier-ignore
  w.must('Aino', 'list.setStages', { list, stages: [{ name: 'Wished' }, { name: 'Priced' }, { name: 'Booked' }, { name: 'In place', isDone: true }] } as never);
  const stages = () => w.rows.all('list').find(({ id }) => id === list)!.stages;
  const idOf = (name: string) => stages().find((stage) => stage.name === name)!.id;
  const at = (item: string) =>
    stageOf(
      w.row(item),
      w.rows.all('list').find(({ id }) => id === list)!,
      w.parts(item),
    )?.name ?? null;
  const move = (who: string, item: string, name: string) => w.must(who, 'item.toStage', { item, stage: idOf(name) });
  const refused = (who: string, item: string, name: string) => w.refused(who, 'item.toStage', { item, stage: idOf(name) });
  return { w, list, stages, idOf, at, move, refused };
}

test('one begins in the first; moved it stands where it was put, and the step of one in none', () => {
  const { w, list, at, move } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const step = w.item('Aino', 'Measure', { parent: planks });
  expect([at(planks), at(step)]).toEqual(['Wished', null]);
  const { id } = move('Aino', planks, 'Booked');
  expect(at(planks)).toBe('Booked');
  w.must('Aino', 'undo', { command: id });
  expect(at(planks)).toBe('Wished');
});

test('the stage that means done ticks it, and a tick puts it there; opened again it is where it was', () => {
  const { w, list, at, move } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  move('Aino', planks, 'Priced');
  const { id } = move('Aino', planks, 'In place');
  expect(w.parts(planks)[0]!.standing).toBe('completed');
  w.must('Aino', 'undo', { command: id });
  expect(at(planks)).toBe('Priced');
  w.must('Aino', 'part.checkOff', { item: planks, person: null });
  expect(at(planks)).toBe('In place');
  w.must('Aino', 'part.uncheck', { item: planks, person: null });
  expect(at(planks)).toBe('Priced');
  move('Aino', planks, 'In place');
  move('Aino', planks, 'Booked');
  expect([at(planks), w.parts(planks)[0]!.standing]).toEqual(['Booked', 'needs-action']);
});

test('whose it is moves it and ticks their own part; while others have theirs it is refused by name', () => {
  const { w, list, at, move, refused } = pier();
  const posts = w.item('Aino', 'Posts', { list, persons: [w.person('Tapio'), w.person('Marek')], policy: 'each' });
  move('Tapio', posts, 'Priced');
  expect(refused('Tapio', posts, 'In place')).toMatchObject({ code: 'others-open', params: { names: ['Marek'] } });
  expect(refused('Petri', posts, 'In place').code).toBe('others-open');
  w.must('Marek', 'part.checkOff', { item: posts, person: w.person('Marek') });
  move('Tapio', posts, 'In place');
  expect(at(posts)).toBe('In place');
  // opened again by whoever has ticked; by nobody else
  expect(refused('Petri', posts, 'Wished').code).toBe('others-done');
  move('Marek', posts, 'Booked');
  expect(at(posts)).toBe('Booked');
  // without a part, and without leave to change it
  const nails = w.item('Aino', 'Nails', { list });
  expect(refused('Tapio', nails, 'Priced').code).toBe('not-allowed');
});

test('two move it to two stages: the later one counts, and the first one’s undo leaves it', () => {
  const { w, list, at, move } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const { id } = move('Aino', planks, 'Priced');
  move('Petri', planks, 'Booked');
  w.must('Aino', 'undo', { command: id });
  expect(at(planks)).toBe('Booked');
});

test('a stage that goes leaves what was in it in the first; names are told apart, twelve at most, one of them open', () => {
  const { w, list, stages, at, move } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  move('Aino', planks, 'Booked');
  const rest = stages().filter(({ name }) => name !== 'Booked');
  w.must('Aino', 'list.setStages', { list, stages: [...rest].reverse() });
  expect(at(planks)).toBe('Priced');
  const tried = (some: object[]) => w.refused('Aino', 'list.setStages', { list, stages: some } as never).code;
  expect(tried([{ name: 'Wished' }, { name: 'wished' }])).toBe('name-taken');
  expect(tried([{ name: 'Done', isDone: true }])).toBe('stage-open-needed');
  expect(tried(Array.from({ length: 13 }, (_, nth) => ({ name: `Stage ${nth}` })))).toBe('too-many');
  w.must('Aino', 'list.setStages', { list, stages: [] });
  expect(at(planks)).toBeNull();
});

test('a board and groups by stage, in the list’s order', () => {
  const { w, list, move, idOf } = pier();
  const [planks, posts, nails] = ['Planks', 'Posts', 'Nails'].map((title) => w.item('Aino', title, { list }));
  move('Aino', posts!, 'Booked');
  move('Aino', nails!, 'In place');
  const entries = [planks, posts, nails].map((id) => ({ item: w.row(id!), part: null }));
  const board = boardOf(entries, 'stage', ['Wished', 'Priced', 'Booked', 'In place'].map(idOf), w.rows);
  expect(board.map((column) => column.entries.map(({ item }) => item.title))).toEqual([['Planks'], [], ['Posts'], ['Nails']]);
  expect(groupBy([...entries].reverse(), 'stage', w.rows).map(({ entries: some }) => some[0]!.item.title)).toEqual(['Planks', 'Posts', 'Nails']);
});

test('of a chore, the stage that means done brings the next, and its undo takes that back', () => {
  const { w, list, move } = pier();
  w.must('Aino', 'chore.make', { title: 'Look at the anchors', list, rrule: 'FREQ=WEEKLY', dtstart: '2026-11-24', whenDone: true } as never);
  const open = () =>
    w.rows.all('item').filter(({ seriesId, removedAt, id }) => seriesId !== null && removedAt === null && w.parts(id)[0]!.standing !== 'completed');
  const first = open()[0]!.id;
  const { id } = move('Aino', first, 'In place');
  expect(open().map((item) => item.id)).not.toContain(first);
  w.must('Aino', 'undo', { command: id });
  expect(open().map((item) => item.id)).toEqual([first]);
});
