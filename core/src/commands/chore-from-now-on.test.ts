import { World } from '../testing/world.ts';

function sauna() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Sauna', [['Leila', 'check']]);
  w.must('Aino', 'chore.make', { title: 'Light it', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', steps: ['Carry wood'] });
  const open = () => w.rows.all('item').find((item) => item.seriesId !== null && w.parts(item.id).every(({ standing }) => standing !== 'completed'))!;
  const stepsOf = (itemId: string) => w.rows.by('item', 'parentId', itemId).map(({ title }) => title).sort(); // prettier-ignore
  const done = () => w.must('Aino', 'part.checkOff', { item: open().id, person: null });
  return { w, open, stepsOf, done };
}

test('a step, notes and tags of one come with the later ones; the rule and its days stay', () => {
  const { w, open, stepsOf, done } = sauna();
  w.item('Aino', 'Rinse the floor', { parent: open().id });
  w.must('Aino', 'item.change', { item: open().id, notes: 'Damper open', tags: ['fire'] });
  w.must('Aino', 'chore.fromNowOn', { item: open().id, steps: ['Rinse the floor', 'Carry wood'], notes: true, tags: true });
  done();
  expect(stepsOf(open().id)).toEqual(['Carry wood', 'Rinse the floor']);
  expect(open()).toMatchObject({ notes: 'Damper open', due: '2026-11-25' });
  expect(open().tagIds).toHaveLength(1);
});

test('without it, only this one', () => {
  const { w, open, stepsOf, done } = sauna();
  w.item('Aino', 'Rinse the floor', { parent: open().id });
  done();
  expect(stepsOf(open().id)).toEqual(['Carry wood']);
});

test('refused to who may only check off there, for what is no chore’s, and past sixty steps', () => {
  const { w, open } = sauna();
  expect(w.refused('Leila', 'chore.fromNowOn', { item: open().id, steps: ['Rinse'] }).code).toBe('not-allowed');
  const plain = w.item('Aino', 'Plain');
  expect(w.try('Aino', 'chore.fromNowOn', { item: plain, steps: ['Rinse'] }).outcome).toBe('refused');
  const many = Array.from({ length: 60 }, (_, nth) => `Step ${nth}`);
  expect(w.refused('Aino', 'chore.fromNowOn', { item: open().id, steps: many }).code).toBe('too-many');
});
