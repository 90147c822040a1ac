import { World } from '../testing/world.ts';
import { eachCounts } from './must-each.ts';

test.each([
  ['Pay the rent', [], true],
  ['Read the meters', [], true],
  ['Oona’s tablets', [], true],
  ['Send it', ['invoices'], true],
  ['Split logs', [], false],
  ['Water the plants', ['garden'], false],
  ['Repaint the bench', [], false],
])('%s %j', (title, tags, counts) => expect(eachCounts(title, tags)).toBe(counts));

test('what must each be done stays open where nothing is said, and that is said; anything else rolls', () => {
  const w = new World();
  const add = (title: string) =>
    w.must('Aino', 'item.add', { title, rule: { rrule: 'FREQ=MONTHLY;BYMONTHDAY=1', afterDone: null, time: null, words: 'every month on the 1st' } });
  expect(add('Pay the rent').notes).toEqual([{ code: 'each-is-kept', params: { title: 'Pay the rent' } }]);
  expect(add('Wash the windows').notes).toEqual([]);
  expect(w.rows.all('series').map(({ missed }) => missed)).toEqual(['keep', 'roll']);
});
