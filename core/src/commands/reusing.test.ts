import { isDone } from '../followup/standing.ts';
import { progressOfList } from '../views/progress.ts';
import { contentsOf } from '../views/list-contents.ts';
import { World } from '../testing/world.ts';

function openingList() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Opening', [['Leila', 'check']]);
  const taps = w.item('Aino', 'Open the taps', { list, due: '2026-11-20' });
  const step = w.item('Aino', 'Cellar', { parent: taps });
  const beds = w.item('Aino', 'Make the beds', { list, due: '2026-12-20', persons: [w.person('Leila')], message: 'white linen' });
  const keys = w.item('Aino', 'Hang out the keys', { list, persons: [w.person('Leila')] });
  const done = () => [taps, step, beds, keys].map((id) => isDone(w.row(id), w.parts(id)));
  const doAll = () => {
    w.must('Aino', 'part.checkOff', { item: step, person: null });
    w.must('Aino', 'part.checkOff', { item: taps, person: null });
    w.must('Leila', 'part.checkOff', { item: beds, person: w.person('Leila') });
    w.must('Leila', 'part.checkOff', { item: keys, person: w.person('Leila') });
  };
  return { w, list, taps, step, beds, keys, done, doAll };
}

describe('a list used again', () => {
  test('opens all that was checked off, with steps and with those who had it', () => {
    const { w, list, beds, done, doAll } = openingList();
    doAll();
    expect(done()).toEqual([true, true, true, true]);
    w.must('Aino', 'list.useAgain', { list });
    expect(done()).toEqual([false, false, false, false]);
    // Leila answers anew, and reads again what was said
    expect(w.part(beds, 'Leila')).toMatchObject({ standing: 'needs-action', seenAt: null, message: 'white linen', givenAt: w.now });
  });
  test('days that have passed are let go, those to come stay', () => {
    const { w, list, taps, beds, doAll } = openingList();
    doAll();
    w.must('Aino', 'list.useAgain', { list });
    expect(w.row(taps).due).toBeNull();
    expect(w.row(beds).due).toBe('2026-12-20');
  });
  test('whoever has several of its items is told once', () => {
    const { w, list, doAll } = openingList();
    doAll();
    const before = w.told('Leila').length;
    w.must('Aino', 'list.useAgain', { list });
    expect(w.told('Leila').slice(before)).toEqual(['handed']);
  });
  test('at once it can be undone: all is done again', () => {
    const { w, list, done, doAll } = openingList();
    doAll();
    const { id } = w.must('Aino', 'list.useAgain', { list });
    w.must('Aino', 'undo', { command: id });
    expect(done()).toEqual([true, true, true, true]);
  });
  test('what was of a chore stays history, with its steps, and counts in how far the list has come only while open', () => {
    const { w, list, doAll } = openingList();
    w.must('Aino', 'chore.make', { title: 'Air the rooms', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', steps: ['Upstairs'] });
    const first = w.rows.all('item').find((item) => item.seriesId !== null)!;
    const step = w.rows.by('item', 'parentId', first.id)[0]!;
    doAll();
    for (const item of [step.id, first.id]) w.must('Aino', 'part.checkOff', { item, person: null });
    const house = w.rows.find('list', list) as never;
    // the three others are done; the next to air the rooms is open
    expect(progressOfList(house, w.rows)).toMatchObject({ done: 3, of: 4 });
    expect(contentsOf(house, w.rows).done.map(({ title }) => title)).not.toContain('Air the rooms');
    w.must('Aino', 'list.useAgain', { list });
    for (const item of [step, first]) expect(isDone(w.row(item.id), w.parts(item.id))).toBe(true);
  });
  test('with nothing done there is nothing to begin again', () => {
    const { w, list } = openingList();
    expect(w.refused('Aino', 'list.useAgain', { list }).code).toBe('nothing-done');
  });
  test('who may only check does not begin it again', () => {
    const { w, list, doAll } = openingList();
    doAll();
    expect(w.refused('Leila', 'list.useAgain', { list }).code).toBe('not-allowed');
  });
});

test('what was cleared counts no more in how far the list has come, and the history keeps it', () => {
  const { w, list, taps, doAll } = openingList();
  w.item('Aino', 'Light the stove', { list });
  doAll();
  const progress = () => progressOfList(w.rows.find('list', list) as never, w.rows);
  expect(progress()).toEqual({ done: 3, of: 4, unit: 'count' });
  w.later(1);
  w.must('Aino', 'list.clearDone', { list });
  expect(progress()).toEqual({ done: 0, of: 1, unit: 'count' });
  expect(w.rows.by('activity', 'itemId', taps).map(({ kind }) => kind)).toContain('part.checkOff');
  w.must('Aino', 'list.clearDone', { list, cleared: false });
  expect(progress()).toEqual({ done: 3, of: 4, unit: 'count' });
});

describe('copies', () => {
  test('are independent, open, nobody’s, with their steps in order', () => {
    const { w, beds, taps, step, doAll } = openingList();
    w.item('Aino', 'Attic', { parent: taps });
    doAll();
    const other = w.list('Aino', 'Closing');
    w.must('Aino', 'item.copy', { items: [taps, beds], list: other });
    const copies = w.rows.by('item', 'listId', other);
    const top = copies.filter((item) => item.parentId === null);
    expect(top.map((item) => item.title)).toEqual(['Open the taps', 'Make the beds']);
    expect(copies.filter((item) => item.parentId === top[0]!.id).map((item) => item.title)).toEqual(['Cellar', 'Attic']);
    for (const copy of copies) expect(isDone(copy, w.parts(copy.id))).toBe(false);
    expect(w.parts(top[1]!.id).map(({ personId }) => personId)).toEqual([null]);
    w.must('Aino', 'item.change', { item: step, title: 'Cellar and well' });
    expect(w.rows.by('item', 'listId', other).map((item) => item.title)).toContain('Cellar');
  });
  test('below its own original an item is copied once', () => {
    const { w, taps } = openingList();
    w.must('Aino', 'item.copy', { items: [taps], parent: taps });
    expect(w.rows.by('item', 'parentId', taps).map((item) => item.title)).toEqual(['Cellar', 'Open the taps']);
  });
  test('not into a list one may only look at', () => {
    const { w, beds } = openingList();
    const closed = w.list('Aino', 'Accounts', [['Leila', 'view']]);
    expect(w.refused('Leila', 'item.copy', { items: [beds], list: closed }).code).toBe('not-allowed');
  });
});
