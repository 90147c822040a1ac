import { World } from '../testing/world.ts';
import { doneSince } from './standing.ts';

test('an item is done by the tap that made it so: of any the first, of each the last', () => {
  const w = new World();
  for (const name of ['Leila', 'Noor']) w.join(name, 'member');
  const persons = ['Leila', 'Noor'].map((name) => w.person(name));
  const since = (item: string) => doneSince(w.row(item), w.rows.by('part', 'itemId', item));
  const [any, each] = (['any', 'each'] as const).map((policy) => {
    const item = w.item('Aino', `Oars ${policy}`);
    w.must('Aino', 'part.handOver', { items: [item], persons, policy });
    return item;
  });
  for (const name of ['Leila', 'Noor']) {
    w.later(60);
    for (const item of [any!, each!]) w.must(name, 'part.checkOff', { item, person: w.person(name) });
  }
  expect(since(any!)).toBe('2026-11-24T11:00:00.000Z');
  expect(since(each!)).toBe('2026-11-24T12:00:00.000Z');
  w.must('Leila', 'part.uncheck', { item: each!, person: w.person('Leila') });
  expect(since(each!)).toBeNull();
});
