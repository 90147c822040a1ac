import { arrangementId } from '../model/arrangement.ts';
import { World } from '../testing/world.ts';

test('a view stays as it was arranged, each choice by itself, for each person', () => {
  const w = new World();
  w.join('Eetu');
  const of = (name: string) => w.rows.find('arrangement', arrangementId('today', w.person(name)));
  w.must('Aino', 'view.arrange', { view: 'today', sort: 'title' });
  w.must('Aino', 'view.arrange', { view: 'today', cap: 5 });
  w.must('Eetu', 'view.arrange', { view: 'today', detail: 'bare' });
  expect(of('Aino')).toMatchObject({ group: 'usual', sort: 'title', detail: 'short', cap: 5 });
  expect(of('Eetu')).toMatchObject({ group: 'usual', sort: 'usual', detail: 'bare', cap: null });
  w.must('Aino', 'view.arrange', { view: 'today', cap: null });
  expect(of('Aino')).toMatchObject({ sort: 'title', cap: null });
});

test('columns stay in the order and as wide as one has them, each once', () => {
  const w = new World();
  const columns = [{ column: 'tag' as const, width: 200 }, { column: 'due' as const, width: 90 }]; // prettier-ignore
  w.must('Aino', 'view.arrange', { view: 'whole', columns, titleWidth: 400, layout: 'table' });
  w.must('Aino', 'view.arrange', { view: 'whole', isDescending: true });
  expect(w.rows.find('arrangement', arrangementId('whole', w.person('Aino')))).toMatchObject({
    columns,
    titleWidth: 400,
    layout: 'table',
    phoneLayout: 'rows',
  });
  w.must('Aino', 'view.arrange', { view: 'whole', columns: [] });
  expect(w.rows.find('arrangement', arrangementId('whole', w.person('Aino')))).toMatchObject({ columns: [] });
});

test.each([
  ['no such view', { view: 'tomorrow' }],
  ['a day for nothing', { view: 'today', cap: 0 }],
  ['a column twice', { view: 'whole', columns: [{ column: 'due' as const, width: 90 }, { column: 'due' as const, width: 90 }] }], // prettier-ignore
  ['a column there is not', { view: 'whole', columns: [{ column: 'colour' as 'due', width: 90 }] }],
  ['a column too wide', { view: 'whole', columns: [{ column: 'due' as const, width: 9_000 }] }],
  ['half a pixel', { view: 'whole', titleWidth: 100.5 }],
  ['a layout there is not', { view: 'whole', layout: 'cloud' as 'rows' }],
  ['an unknown order', { view: 'today', sort: 'colour' as 'title' }],
])('refused: %s', (_name, payload) => {
  expect(new World().refused('Aino', 'view.arrange', payload).code).toMatch(/malformed|too-many/);
});

test('capacity is one’s own to set, or a manager’s, and a day has 24 hours', () => {
  const w = new World();
  w.join('Eetu');
  w.join('Oona');
  const week = [60, 60, 60, 60, 60, 0, 0];
  w.must('Eetu', 'capacity.set', { person: w.person('Eetu'), minutes: week });
  w.must('Aino', 'capacity.set', { person: w.person('Eetu'), minutes: week });
  expect(w.refused('Oona', 'capacity.set', { person: w.person('Eetu'), minutes: week }).code).toBe('not-allowed');
  for (const minutes of [[60], [1441, 0, 0, 0, 0, 0, 0], [-5, 0, 0, 0, 0, 0, 0]]) {
    expect(w.refused('Eetu', 'capacity.set', { person: w.person('Eetu'), minutes }).code).toMatch(/malformed|too-many/);
  }
  expect(w.rows.all('capacity')).toHaveLength(1);
});
