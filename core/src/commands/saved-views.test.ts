import type { Filter } from '../model/filter.ts';
import { World } from '../testing/world.ts';

const LATE = { match: 'all', state: 'open', conditions: [{ of: 'date', field: 'due', span: { kind: 'past' }, not: false }] } satisfies Filter;

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Petri');
  w.must('Petri', 'savedView.make', { name: 'Late', filter: LATE });
  return { w, view: w.rows.all('savedView')[0]!.id, held: () => w.rows.all('savedView')[0]! };
}

test('one’s own view is one’s own to change; of the house’s, managers too', () => {
  const { w, view, held } = house();
  expect(w.refused('Leila', 'savedView.change', { view, name: 'Mine' }).code).toBe('not-allowed');
  expect(w.refused('Aino', 'savedView.change', { view, name: 'Mine' }).code).toBe('not-allowed');
  w.must('Petri', 'savedView.change', { view, isShared: true });
  expect(w.refused('Leila', 'savedView.change', { view, name: 'Mine' }).code).toBe('not-allowed');
  w.must('Aino', 'savedView.change', { view, name: 'What is late' });
  expect(held()).toMatchObject({ name: 'What is late', isShared: true });
});

test('removed and brought back, and each of it undone', () => {
  const { w, view, held } = house();
  const { id } = w.must('Petri', 'savedView.change', { view, removed: true });
  expect(held().removedAt).not.toBeNull();
  w.must('Petri', 'undo', { command: id });
  expect(held().removedAt).toBeNull();
  const { id: made } = w.must('Petri', 'savedView.make', { name: 'Other', filter: LATE });
  w.must('Petri', 'undo', { command: made });
  expect(w.rows.all('savedView').filter(({ removedAt }) => removedAt === null)).toHaveLength(1);
});

test('what narrows nothing is no view, and there is a bound on what a filter holds', () => {
  const { w, view } = house();
  const none = { match: 'all', state: 'open', conditions: [] } satisfies Filter;
  expect(w.refused('Petri', 'savedView.make', { name: 'All', filter: none })).toMatchObject({ code: 'filter-empty', field: 'filter' });
  expect(w.refused('Petri', 'savedView.change', { view, filter: none }).code).toBe('filter-empty');
  const many = { ...LATE, conditions: Array.from({ length: 21 }, () => LATE.conditions[0]!) };
  expect(w.refused('Petri', 'savedView.make', { name: 'All', filter: many }).code).toBe('too-many');
  for (const span of [{ kind: 'next', days: 1e9 }, { kind: 'week', weeks: 0.5 }, { kind: 'between', from: '2026-02-31', to: '2026-03-01' }, { kind: 'odd' }])
    expect(w.try('Petri', 'savedView.make', { name: 'X', filter: { ...LATE, conditions: [{ of: 'date', field: 'due', span } as never] } }).outcome).toBe(
      'refused',
    );
});
