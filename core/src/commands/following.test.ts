import { World } from '../testing/world.ts';

/** A list Leila may tick off in and Eetu may change; Aino's thing in it, which Leila has. */
function boathouse() {
  const w = new World();
  for (const name of ['Eetu', 'Noor']) w.join(name);
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Boathouse', [
    ['Leila', 'check'],
    ['Eetu', 'edit'],
  ]);
  return { w, list, oars: w.item('Aino', 'Oars', { list, persons: [w.person('Leila')] }) };
}
const lastTold = (w: World, name: string) => w.rows.by('notice', 'personId', w.person(name)).at(-1)!;

describe('of an item, one is told of the kinds one chose', () => {
  test.each<[string, string[]]>([
    ['done', ['completed']],
    ['answers', ['question']],
    ['changes', ['changed']],
    ['said', ['comment']],
  ])('%s', (topic, heard) => {
    const { w, oars } = boathouse();
    w.must('Eetu', 'watch.set', { item: oars, person: w.person('Eetu'), on: true, topics: [topic as 'done'] });
    w.must('Leila', 'part.askBack', { item: oars, question: 'Both of them?' });
    w.must('Leila', 'comment.say', { item: oars, text: 'One is cracked' });
    w.must('Aino', 'item.setDue', { item: oars, due: '2026-12-04' });
    w.must('Leila', 'part.checkOff', { item: oars, person: w.person('Leila') });
    expect(w.told('Eetu')).toEqual(heard);
  });

  test('why somebody can’t stays between the two', () => {
    const { w, oars } = boathouse();
    w.must('Eetu', 'watch.set', { item: oars, person: w.person('Eetu'), on: true });
    w.must('Leila', 'part.decline', { item: oars, reason: 'My back' });
    expect(lastTold(w, 'Eetu')).toMatchObject({ kind: 'declined', params: { text: '' } });
    expect(lastTold(w, 'Aino')).toMatchObject({ kind: 'declined', params: { text: 'My back' } });
  });

  test('a giver who chose hears of that; of a question all the same', () => {
    const { w, oars } = boathouse();
    w.must('Aino', 'watch.set', { item: oars, person: w.person('Aino'), on: true, topics: ['said'] });
    w.must('Leila', 'part.askBack', { item: oars, question: 'Both?' });
    w.must('Leila', 'part.checkOff', { item: oars, person: w.person('Leila') });
    expect(w.told('Aino')).toEqual(['question']);
  });

  test('the giver makes somebody follow: they are told once, and may stop', () => {
    const { w, oars } = boathouse();
    const eetu = w.person('Eetu');
    w.must('Aino', 'watch.set', { item: oars, person: eetu, on: true });
    w.must('Aino', 'watch.set', { item: oars, person: eetu, on: true, topics: ['done'] });
    expect(w.told('Eetu')).toEqual(['following']);
    w.must('Eetu', 'watch.set', { item: oars, person: eetu, on: false });
    w.must('Leila', 'part.checkOff', { item: oars, person: w.person('Leila') });
    expect(w.told('Eetu')).toEqual(['following']);
    expect(w.refused('Aino', 'watch.set', { item: oars, person: w.person('Noor'), on: true })).toMatchObject({ code: 'cannot-open-list', field: 'person' });
  });

  test('whoever can no longer see it hears nothing more of it', () => {
    const { w, list, oars } = boathouse();
    w.must('Eetu', 'watch.set', { item: oars, person: w.person('Eetu'), on: true });
    w.must('Aino', 'list.share', { list, person: w.person('Eetu'), access: null });
    w.must('Leila', 'part.checkOff', { item: oars, person: w.person('Leila') });
    expect(w.told('Eetu')).toEqual([]);
  });
});

describe('of a list, for everything in it', () => {
  test('what is new, once; of several at a time, one notice; of what is handed to one, that alone', () => {
    const { w, list } = boathouse();
    const eetu = w.person('Eetu');
    w.must('Eetu', 'listWatch.set', { list, person: eetu, on: true, topics: ['new'] });
    const rope = w.item('Aino', 'Rope', { list });
    expect(lastTold(w, 'Eetu')).toMatchObject({ kind: 'added', itemId: rope, params: { title: 'Rope', in: 'Boathouse' } });
    w.item('Aino', 'Knots', { parent: rope });
    w.must('Aino', 'item.addMany', { list, items: [{ title: 'Paint' }, { title: 'White', under: 0 }, { title: 'Brushes' }] });
    expect(lastTold(w, 'Eetu')).toMatchObject({ kind: 'added', itemId: null, params: { list, count: 2, titles: ['Paint', 'Brushes'] } });
    w.item('Aino', 'Hinges', { list, persons: [eetu] });
    w.item('Eetu', 'My own', { list });
    expect(w.told('Eetu')).toEqual(['added', 'added', 'handed']);
    // moved in and copied in it is new there; ordered anew it is not
    const elsewhere = w.item('Aino', 'Buoy');
    w.must('Aino', 'item.move', { items: [elsewhere], list });
    w.must('Aino', 'item.move', { items: [elsewhere], list, after: rope });
    w.must('Aino', 'item.copy', { items: [rope], list });
    expect(w.told('Eetu')).toEqual(['added', 'added', 'handed', 'added', 'added']);
  });

  test('done and said, unless one chose otherwise of the one item', () => {
    const { w, list, oars } = boathouse();
    const rope = w.item('Aino', 'Rope', { list, persons: [w.person('Leila')] });
    w.must('Eetu', 'listWatch.set', { list, person: w.person('Eetu'), on: true });
    w.must('Eetu', 'watch.set', { item: oars, person: w.person('Eetu'), on: false });
    for (const item of [oars, rope]) w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    expect(w.rows.by('notice', 'personId', w.person('Eetu')).map(({ kind, itemId }) => [kind, itemId])).toEqual([['completed', rope]]);
  });

  test('only for who can open it, and for as long as they can', () => {
    const { w, list, oars } = boathouse();
    expect(w.refused('Aino', 'listWatch.set', { list, person: w.person('Noor'), on: true })).toMatchObject({ code: 'cannot-open-list', field: 'person' });
    expect(w.refused('Leila', 'listWatch.set', { list, person: w.person('Eetu'), on: true }).code).toBe('not-allowed');
    w.must('Aino', 'listWatch.set', { list, person: w.person('Eetu'), on: true });
    w.must('Aino', 'list.share', { list, person: w.person('Eetu'), access: null });
    w.must('Leila', 'part.checkOff', { item: oars, person: w.person('Leila') });
    w.item('Aino', 'Secret', { list });
    expect(w.told('Eetu')).toEqual(['following']);
  });

  test('what was undone was not heard of', () => {
    const { w, list } = boathouse();
    w.must('Eetu', 'listWatch.set', { list, person: w.person('Eetu'), on: true });
    const { id } = w.must('Aino', 'item.add', { title: 'Slip', list });
    w.must('Aino', 'undo', { command: id });
    expect(w.told('Eetu')).toEqual([]);
  });
});
