import { ENTRY_KINDS } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { hasWord } from '@/words';
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
  ['opened it', (w, item) => w.must('Leila', 'part.see', { item }), 'seen today 12:00, no reply yet', 'seen'],
  ['took it', (w, item) => w.must('Leila', 'part.accept', { item }), 'took it', 'taken'],
  ['is in progress', (w, item) => w.must('Leila', 'part.progress', { item, percent: 40 }), 'in progress, 40%', 'underway'],
  ['asked back', (w, item) => w.must('Leila', 'part.askBack', { item, question: 'All?' }), 'asked back', 'asked'],
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
  expect(standing('Leila')).toBe('checked off today 12:50, arrived today 14:00, waiting for Aino to tie it off');
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
    'added it',
    'handed it to Leila and Noor',
    'renamed it (was “Jackets”)',
    'changed the deadline from none to Friday, 27 November 2026 17:00',
    'set progress to 20%',
    'wrote: “found three”',
    'checked it off',
    'undid checking it off',
  ]);
});

describe('what happened', () => {
  test('every kind of entry has its words', () => {
    const wordless = ENTRY_KINDS.filter((kind) => kind !== 'item.change' && !hasWord(`did.${kind}`) && !hasWord(`did.${kind}_other`));
    expect(wordless).toEqual([]);
  });

  test('in a house that is lived in, every one is a sentence: no code, no empty quote, nothing undefined', () => {
    const w = new World();
    const { join, must } = { join: w.join.bind(w), must: w.must.bind(w) };
    join('Leila', 'helper');
    join('Eetu');
    const [leila, eetu] = [w.person('Leila'), w.person('Eetu')];
    const list = w.list('Aino', 'Boathouse', [['Eetu', 'edit'], ['Leila', 'check']]); // prettier-ignore
    must('Aino', 'list.change', { list, name: 'Boats' });
    must('Aino', 'list.share', { list, person: leila, access: null });
    must('Aino', 'list.share', { list, person: leila, access: 'check' });
    must('Aino', 'invitation.make', { role: 'helper', uses: 'one', token: 'x'.repeat(40) });
    must('Aino', 'person.setRole', { person: leila, role: 'member' });
    const oars = w.item('Aino', 'Oars', { list });
    const own = w.item('Eetu', 'Own');
    must('Eetu', 'item.move', { items: [own], list });
    must('Aino', 'item.change', {
      item: oars,
      title: 'Four oars',
      notes: 'Cracked',
      importance: 2,
      effort: 30,
      energy: 'low',
      dayPart: 'morning',
      confirm: true,
    });
    must('Aino', 'item.setDue', { item: oars, due: '2026-11-27T17:00' });
    must('Aino', 'part.handOver', { items: [oars], persons: [leila], message: 'Please' });
    must('Aino', 'part.handOver', { items: [oars], persons: [leila], policy: 'any' });
    must('Leila', 'part.askBack', { item: oars, question: 'All?' });
    must('Leila', 'part.accept', { item: oars });
    must('Leila', 'part.progress', { item: oars, percent: 40 });
    must('Leila', 'part.plan', { items: [oars], plan: '2026-11-26', entry: 'found two' });
    must('Leila', 'part.checkOff', { item: oars, person: leila });
    must('Aino', 'part.sendBack', { item: oars, person: leila, reason: 'Two more' });
    must('Aino', 'part.passOn', { item: oars, from: leila, to: eetu });
    const undone = must('Eetu', 'part.checkOff', { item: oars, person: eetu });
    must('Eetu', 'undo', { command: undone.id });
    must('Aino', 'part.excuse', { item: oars, person: eetu });
    must('Aino', 'part.excuse', { item: oars, person: eetu, excused: false });
    must('Aino', 'part.nudge', { item: oars, persons: [eetu], words: '' });
    must('Aino', 'part.takeBack', { item: oars, persons: [eetu] });
    must('Aino', 'wait.set', { item: oars, words: 'the varnish' });
    const copied = must('Aino', 'item.copy', { items: [oars], list });
    must('Aino', 'undo', { command: copied.id });
    must('Aino', 'item.remove', { items: [oars] });
    must('Aino', 'item.bringBack', { items: [oars] });
    must('Aino', 'chore.make', { title: 'Pump', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', persons: [eetu] });
    const pump = w.rows.all('item').find(({ title }) => title === 'Pump')!.id;
    must('Eetu', 'part.checkOff', { item: pump, person: eetu });
    must('Aino', 'list.useAgain', { list: ticked(w) });
    must('Aino', 'list.clearDone', { list });
    must('Aino', 'list.file', { list, filed: true });
    must('Aino', 'list.file', { list, filed: false });
    must('Aino', 'list.giveTo', { list, person: eetu });
    must('Eetu', 'list.remove', { list });
    must('Eetu', 'list.remove', { list, removed: false });
    must('Aino', 'house.change', { name: 'The old house' });
    must('Aino', 'person.end', { person: leila, parts: [] });
    const entries = w.rows.all('activity');
    expect(new Set(entries.map(({ kind }) => kind)).size).toBeGreaterThan(35);
    const bad = entries.map((entry) => [entry.kind, sayEntry(entry)]).filter(([, said]) => /undefined|null|\w\.\w|“”|\{|\}| {2}|\(\)|^\s*$/.test(said!));
    expect(bad).toEqual([]);
  });
});

/** A list with one thing in it that is done. */
function ticked(w: World): string {
  const list = w.list('Aino', 'Season');
  w.must('Aino', 'part.checkOff', { item: w.item('Aino', 'Sweep', { list }), person: null });
  return list;
}
