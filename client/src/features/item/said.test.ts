import { World } from '@kotiva/core/testing/world';
import { sayEntry } from './activity-words.ts';
import { knotOf, sayStrands } from './knot-of.ts';
import { sayStanding } from './standing-words.ts';

const ZONE = 'Europe/Helsinki';

function jackets() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  w.join('Eetu');
  const item = w.item('Aino', 'Jackets', { list: w.list('Aino', 'Boathouse', [['Eetu', 'edit']]) });
  w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila'), w.person('Noor')], policy: 'each', message: 'Count them' });
  const standing = (name: string) => sayStanding(w.row(item), w.part(item, name), w.rows, w.now, ZONE);
  const knot = (name: string) => knotOf(w.row(item), w.part(item, name));
  return { w, item, standing, knot };
}

test.each<[string, (w: World, item: string) => unknown, string, string]>([
  ['nothing', () => undefined, 'handed over today 12:00, not seen yet', 'unseen'],
  ['opened it', (w, item) => w.must('Leila', 'part.see', { item }), 'seen today 12:00, no answer yet', 'seen'],
  ['took it', (w, item) => w.must('Leila', 'part.accept', { item }), 'has taken it', 'taken'],
  ['is under way', (w, item) => w.must('Leila', 'part.progress', { item, percent: 40 }), 'under way, 40 %', 'underway'],
  ['asked back', (w, item) => w.must('Leila', 'part.askBack', { item, question: 'All?' }), 'asks back', 'asked'],
  ['can’t', (w, item) => w.must('Leila', 'part.decline', { item, reason: '' }), 'can’t', 'declined'],
  ['checked off', (w, item) => w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') }), 'checked off today 12:00', 'done'],
  ['was excused', (w, item) => w.must('Aino', 'part.excuse', { item, person: w.person('Leila') }), 'excused', 'excused'],
  ['was passed on', (w, item) => w.must('Aino', 'part.passOn', { item, from: w.person('Leila'), to: w.person('Eetu') }), 'passed on to Eetu', 'passed'],
  [
    'had it tied for them',
    (w, item) => w.must('Aino', 'part.checkOff', { item, person: w.person('Leila') }),
    'checked off today 12:00, by Aino for them',
    'done',
  ],
])('Leila %s', (_name, act, words, shape) => {
  const { w, item, standing, knot } = jackets();
  act(w, item);
  expect(standing('Leila')).toBe(words);
  expect(knot('Leila')).toBe(shape);
  expect(sayStrands(w.row(item), [w.part(item, 'Noor')], w.rows)).toBe('Noor: not seen yet');
});

test('a tap that arrived later says both times; one that waits for its giver says for whom', () => {
  const { w, item, standing, knot } = jackets();
  w.must('Aino', 'item.change', { item, confirm: true });
  w.later(120);
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') }, { at: '2026-11-24T10:50:00.000Z' });
  expect(standing('Leila')).toBe('checked off today 12:50, arrived today 14:00, waits for Aino to tie it off');
  expect(knot('Leila')).toBe('waits');
});

test('the history as sentences, the newest last', () => {
  const { w, item } = jackets();
  w.must('Aino', 'item.change', { item, title: 'Check the life jackets' });
  w.must('Aino', 'item.setDue', { item, due: '2026-11-27T17:00' });
  w.must('Leila', 'part.progress', { item, percent: 20 });
  w.must('Leila', 'part.plan', { items: [item], plan: '2026-11-26', entry: 'found three' });
  const { id } = w.must('Noor', 'part.checkOff', { item, person: w.person('Noor') });
  w.must('Noor', 'undo', { command: id });
  const said = w.rows
    .by('activity', 'itemId', item)
    .sort((a, b) => a.seq - b.seq)
    .map(sayEntry);
  expect(said).toEqual([
    'made it',
    'handed it to Leila and Noor',
    'reworded it, before: “Jackets”',
    'set the deadline to Friday, 27 November 2026 17:00, before: none',
    'is 20 % there',
    'wrote: “found three”',
    'checked it off',
    'undid something: “checked it off”',
  ]);
});
