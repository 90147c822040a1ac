import { itemsOfProject } from '../views/project-contents.ts';
import { measure } from '../views/progress.ts';
import { World } from '../testing/world.ts';
import { filtered } from '../views/filter.ts';

function pier() {
  const w = new World();
  w.join('Petri', 'manager');
  w.join('Eetu');
  w.join('Leila', 'helper');
  const wood = w.list('Aino', 'Wood');
  const shore = w.list('Aino', 'Shore');
  const [planks, posts] = ['Planks', 'Posts'].map((title) => w.item('Aino', title, { list: wood }));
  const permit = w.item('Aino', 'Permit', { list: shore });
  w.must('Aino', 'project.make', {
    name: 'The new pier',
    purpose: 'So that boats lie safe',
    ends: '2027-06-20',
    answerable: w.person('Eetu'),
    lists: [wood],
    items: [permit],
  } as never);
  const project = w.rows.all('project')[0]!.id;
  const titles = () => itemsOfProject(project, w.rows).map(({ title }) => title).sort(); // prettier-ignore
  return { w, project, wood, shore, planks: planks!, posts: posts!, permit, titles };
}

test('what lies in its lists and its single items belong to it, each once; who answers for it is told', () => {
  const { w, project, planks, titles } = pier();
  expect(titles()).toEqual(['Permit', 'Planks', 'Posts']);
  expect(w.told('Eetu')).toEqual(['project']);
  w.must('Aino', 'project.setMembers', { project, items: [planks] } as never);
  expect(titles()).toEqual(['Permit', 'Planks', 'Posts']);
  w.must('Aino', 'part.checkOff', { item: planks, person: null });
  expect(measure(itemsOfProject(project, w.rows), w.rows)).toEqual({ done: 1, of: 3, unit: 'count' });
});

test('taken out and undone; removed, its items stay', () => {
  const { w, project, wood, titles } = pier();
  const { id } = w.must('Aino', 'project.setMembers', { project, lists: [wood], on: false } as never);
  expect(titles()).toEqual(['Permit']);
  w.must('Aino', 'undo', { command: id });
  expect(titles()).toHaveLength(3);
  w.must('Aino', 'project.change', { project, removed: true });
  expect(w.rows.by('item', 'listId', wood).every(({ removedAt }) => removedAt === null)).toBe(true);
});

test('whoever answers for it changes it; others don’t; what one can’t see one puts nowhere', () => {
  const { w, project, wood } = pier();
  w.must('Eetu', 'project.change', { project, purpose: 'Boats' });
  expect(w.refused('Leila', 'project.make', { name: 'Hers' } as never).code).toBe('not-allowed');
  w.must('Eetu', 'project.make', { name: 'His' } as never);
  const his = w.rows.all('project').find(({ name }) => name === 'His')!.id;
  expect(w.refused('Eetu', 'project.setMembers', { project: his, lists: [wood] } as never).code).toBe('not-allowed');
  expect(w.refused('Eetu', 'project.make', { name: 'More', lists: [wood] } as never).code).toBe('not-allowed');
});

test('a part of itself, over two others, is refused with the way; undoing leads there no more either', () => {
  const { w, project } = pier();
  const make = (name: string, parent: string) => {
    w.must('Aino', 'project.make', { name, parent } as never);
    return w.rows.all('project').find((one) => one.name === name)!.id;
  };
  const lamps = make('Lamps', project);
  const cable = make('Cable', lamps);
  expect(w.refused('Aino', 'project.change', { project, parent: cable })).toMatchObject({
    code: 'project-round',
    params: { way: 'The new pier → Cable → Lamps → The new pier' },
  });
  expect(w.refused('Aino', 'project.change', { project, parent: project }).code).toBe('project-round');
  // what an undo would bring back has become a circle meanwhile
  const { id } = w.must('Aino', 'project.change', { project: lamps, parent: null });
  w.must('Aino', 'project.change', { project, parent: lamps });
  expect(w.refused('Aino', 'undo', { command: id }).code).toBe('project-round');
});

test('finished: what is open is asked about first; its lists go out of the way, and it can go on', () => {
  const { w, project, wood, planks, posts, permit } = pier();
  expect(w.refused('Aino', 'project.finish', { project } as never)).toMatchObject({ code: 'project-open', params: { count: 3 } });
  const { id } = w.must('Aino', 'project.finish', { project, open: 'is-filed' } as never);
  const list = () => w.rows.all('list').find((one) => one.id === wood)!;
  expect([w.rows.all('project')[0]!.finishedAt, list().filedAt]).toEqual([w.now, w.now]);
  w.must('Aino', 'undo', { command: id });
  expect([w.rows.all('project')[0]!.finishedAt, list().filedAt]).toEqual([null, null]);
  for (const item of [planks, posts, permit]) w.must('Aino', 'part.checkOff', { item, person: null });
  w.must('Aino', 'project.finish', { project } as never);
  w.must('Aino', 'project.finish', { project, finished: false } as never);
  expect(w.rows.all('project')[0]!.finishedAt).toBeNull();
});

test('dates the wrong way round, days there are not, too many of them', () => {
  const { w, project } = pier();
  expect(w.refused('Aino', 'project.change', { project, begins: '2027-07-01' }).code).toBe('ends-before-begins');
  expect(w.refused('Aino', 'project.change', { project, ends: '2027-02-31' }).code).toBe('malformed');
  w.must('Aino', 'project.change', { project, ends: null, begins: '2027-07-01' });
});

test('a filter finds what belongs to it, by its list, alone and as a step, and no longer once it is taken out', () => {
  const { w, project, wood, permit } = pier();
  w.item('Aino', 'Stamp it', { parent: permit, persons: [w.person('Eetu')] });
  w.item('Aino', 'Something else');
  const view = { personId: w.person('Aino'), house: w.rows.all('house')[0]!, now: w.now } as never;
  const found = (not = false) =>
    filtered({ match: 'all', state: 'open', conditions: [{ of: 'project', ids: [project], not }] }, view, w.rows)
      .map(({ item }) => item.title)
      .sort();
  expect(found()).toEqual(['Permit', 'Planks', 'Posts', 'Stamp it']);
  expect(found(true)).toEqual(['Something else']);
  w.must('Aino', 'project.setMembers', { project, lists: [wood], on: false } as never);
  expect(found()).toEqual(['Permit', 'Stamp it']);
});
