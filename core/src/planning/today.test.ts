import { World } from '../testing/world.ts';
import { myItems, slackMinutes } from './today.ts';

const ZONE = 'Europe/Helsinki';

function house() {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
  const mine = (name: string) => myItems(w.person(name), w.rows as never, w.now, ZONE).map(({ item, where }) => `${where}: ${item.title}`);
  return { w, list, mine };
}

test('where it shows follows from the day', () => {
  const { w, list, mine } = house();
  for (const [title, due] of [
    ['Today', '2026-11-24'],
    ['In a week', '2026-12-01'],
    ['In eight days', '2026-12-02'],
    ['No day', undefined],
  ] as const)
    w.item('Aino', title, { list, due });
  w.item('Aino', 'Not yet', { list, due: '2026-11-30', start: '2026-11-28' });
  expect(mine('Aino').sort()).toEqual(['ahead: In a week', 'further: In eight days', 'further: No day', 'today: Today']);
});

test('what is handed to me is new until I answer; what I can’t do is not mine', () => {
  const { w, list, mine } = house();
  const item = w.item('Aino', 'Towels', { list, persons: [w.person('Leila')], due: '2026-11-24' });
  expect(mine('Leila')).toEqual(['new: Towels']);
  expect(mine('Aino')).toEqual([]);
  w.must('Leila', 'part.accept', { item });
  expect(mine('Leila')).toEqual(['today: Towels']);
  w.must('Leila', 'part.decline', { item });
  expect(mine('Leila')).toEqual([]);
});

test('done today stays in sight for the day', () => {
  const { w, list, mine } = house();
  const item = w.item('Aino', 'Sweep', { list });
  w.must('Aino', 'part.checkOff', { item, person: null });
  expect(mine('Aino')).toEqual(['done-today: Sweep']);
  w.later(24 * 60);
  expect(mine('Aino')).toEqual([]);
});

test('what another of several did today stays in sight of the others, not of who declined', () => {
  const { w, list, mine } = house();
  w.join('Noor');
  w.join('Eetu');
  const item = w.item('Aino', 'Candles', { list, policy: 'any', persons: ['Leila', 'Noor', 'Eetu'].map((name) => w.person(name)), due: '2026-11-24' });
  w.must('Eetu', 'part.decline', { item });
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  expect(mine('Noor')).toEqual(['done-today: Candles']);
  expect(mine('Eetu')).toEqual([]);
  w.must('Leila', 'part.uncheck', { item, person: w.person('Leila') });
  expect(mine('Noor')).toEqual(['new: Candles']);
});

test('lists that are filed away, removed or only for reference give nothing to do', () => {
  const { w, list, mine } = house();
  w.item('Aino', 'Sweep', { list, due: '2026-11-24' });
  w.must('Aino', 'list.change', { list, kind: 'reference' });
  expect(mine('Aino')).toEqual([]);
  w.must('Aino', 'list.change', { list, kind: 'working' });
  w.must('Aino', 'list.file', { list, filed: true });
  expect(mine('Aino')).toEqual([]);
});

test('late first, then least slack, then importance, then own order', () => {
  const { w, list, mine } = house();
  w.item('Aino', 'Plain', { list, due: '2026-11-24' });
  w.item('Aino', 'Important', { list, due: '2026-11-24', importance: 3 });
  w.item('Aino', 'Long', { list, due: '2026-11-24', effort: 120 });
  w.item('Aino', 'Late', { list, due: '2026-11-22' });
  expect(mine('Aino')).toEqual(['today: Late', 'today: Long', 'today: Important', 'today: Plain']);
});

test('slack is what is left until the deadline less what remains to be done', () => {
  // 12:00 in Helsinki; due at 17:00, 100 minutes of which 40 % are done
  expect(slackMinutes({ due: '2026-11-24T17:00', effort: 100 }, 40, '2026-11-24T10:00:00.000Z', ZONE)).toBe(240);
  expect(slackMinutes({ due: null, effort: 100 }, 0, '2026-11-24T10:00:00.000Z', ZONE)).toBe(Infinity);
});
