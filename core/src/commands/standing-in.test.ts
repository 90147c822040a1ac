import { World } from '../testing/world.ts';
import { relationsToItem } from '../access/relations.ts';

/** Petri gave Leila something that waits for him, and is away from tomorrow to Friday; Eetu stands in. It is a Tuesday. */
function away() {
  const w = new World();
  w.join('Petri', 'manager');
  w.join('Eetu');
  w.join('Leila', 'helper');
  const item = w.item('Petri', 'Oil the gate', { persons: [w.person('Leila')], confirm: true });
  w.must('Petri', 'away.add', { person: w.person('Petri'), from: '2026-11-25', to: '2026-11-27', standIn: w.person('Eetu') });
  const eetu = () => w.rows.all('person').find(({ name }) => name === 'Eetu')!;
  const sees = () => relationsToItem(w.row(item), eetu(), w.rows);
  const done = () => w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  const ofLeila = { item, person: w.person('Leila') };
  return { w, item, sees, done, ofLeila };
}
const DAY = 1_440;

test('whoever stands in is told, and sees what was given, no more', () => {
  const { w, sees } = away();
  expect(w.told('Eetu')).toEqual(['stand-in']);
  expect(sees()).toEqual(['stand-in']);
  const own = w.item('Petri', 'His own');
  expect(relationsToItem(w.row(own), w.rows.all('person').find(({ name }) => name === 'Eetu')!, w.rows)).toEqual([]); // prettier-ignore
});

test('ties off, sends back, nudges and answers for them, on those days only', () => {
  const { w, item, done, ofLeila } = away();
  done();
  expect(w.refused('Eetu', 'part.tieOff', ofLeila).code).toBe('not-allowed');
  w.later(DAY);
  w.must('Eetu', 'part.sendBack', { ...ofLeila, reason: 'The hinge too' });
  w.must('Eetu', 'part.nudge', { item, persons: [w.person('Leila')] });
  w.must('Leila', 'part.askBack', { item, question: 'Which hinge?' });
  w.must('Eetu', 'comment.say', { item, text: 'The upper one' });
  expect(w.part(item, 'Leila').standing).toBe('needs-action');
  expect(w.told('Leila')).toContain('answer');
  done();
  w.must('Eetu', 'part.tieOff', ofLeila);
  w.later(3 * DAY);
  w.must('Petri', 'part.uncheck', ofLeila);
  done();
  expect(w.refused('Eetu', 'part.tieOff', ofLeila).code).toBe('not-allowed');
});

test('may change, move or pass on nothing', () => {
  const { w, item } = away();
  w.later(DAY);
  for (const [name, payload] of [
    ['item.change', { item, title: 'Mine' }],
    ['item.remove', { items: [item] }],
    ['part.passOn', { item, from: w.person('Leila'), to: w.person('Eetu') }],
    ['item.setDue', { item, due: '2026-12-01' }],
  ] as const)
    expect(w.refused('Eetu', name, payload as never).code).toBe('not-allowed');
});

test('over, the sight ends; removed before that, too', () => {
  const { w, sees } = away();
  const { id } = w.rows.all('timeAway')[0]!;
  w.system('away.standInOver', { away: id });
  expect(sees()).toEqual(['stand-in']);
  w.later(4 * DAY);
  w.system('away.standInOver', { away: id });
  expect(sees()).toEqual([]);
  const other = away();
  other.w.must('Petri', 'away.remove', { away: other.w.rows.all('timeAway')[0]!.id });
  expect(other.sees()).toEqual([]);
});

test.each([
  ['oneself', (w: World) => w.person('Petri'), 'malformed'],
  ['somebody without an account', (w: World) => (w.must('Petri', 'person.add', { name: 'Workshop', mark: 'Wo', colour: 'moss', pattern: 'warp' }), w.person('Workshop')), 'role-outside'], // prettier-ignore
])('%s can’t stand in', (_name, who, code) => {
  const { w } = away();
  expect(w.refused('Petri', 'away.add', { person: w.person('Petri'), from: '2026-12-01', to: '2026-12-02', standIn: who(w) })).toMatchObject({ code, field: 'standIn' }); // prettier-ignore
});

test('nobody ties off their own work in another’s place, nor answers their own question', () => {
  const { w } = away();
  const own = w.item('Petri', 'Mend the latch', { persons: [w.person('Eetu')], confirm: true });
  w.later(DAY);
  w.must('Eetu', 'part.askBack', { item: own, question: 'Which latch?' });
  w.must('Eetu', 'comment.say', { item: own, text: 'The small one' });
  expect(w.part(own, 'Eetu').standing).toBe('tentative');
  w.must('Eetu', 'part.checkOff', { item: own, person: w.person('Eetu') });
  expect(w.refused('Eetu', 'part.tieOff', { item: own, person: w.person('Eetu') }).code).toBe('not-allowed');
});
