import { World } from '../testing/world.ts';

function towels() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  w.join('Eetu');
  const list = w.list('Aino', 'Rooms', [['Eetu', 'edit']]);
  const item = w.item('Aino', 'Towels', { list, persons: [w.person('Leila'), w.person('Noor')], policy: 'each' });
  return { w, list, item };
}

describe('a remark', () => {
  test('is told to whoever has a part and whoever waits, never to its author', () => {
    const { w, item } = towels();
    w.must('Leila', 'comment.say', { item, text: 'Two are torn' });
    expect(w.told('Aino')).toEqual(['comment']);
    expect(w.told('Noor')).toEqual(['handed', 'comment']);
    expect(w.told('Leila')).toEqual(['handed']);
    expect(w.told('Eetu')).toEqual([]);
  });

  test('from somebody it was handed to is a sign of life', () => {
    const { w, item } = towels();
    w.later(30);
    w.must('Leila', 'comment.say', { item, text: 'On my way' });
    expect(w.part(item, 'Leila')).toMatchObject({ lastSignAt: w.now, standing: 'needs-action' });
    expect(w.part(item, 'Noor').lastSignAt).toBeNull();
  });

  test('of the giver answers what was asked, and only that person is told it was answered', () => {
    const { w, item } = towels();
    w.must('Leila', 'part.askBack', { item, question: 'White or grey?' });
    w.must('Aino', 'comment.say', { item, text: 'Grey' });
    expect(w.told('Leila')).toEqual(['handed', 'answer']);
    expect(w.told('Noor')).toEqual(['handed', 'comment']);
    expect(w.rows.by('comment', 'itemId', item).map(({ kind }) => kind)).toEqual(['question', 'answer']);
  });

  test.each(['', '   ', '\n'])('needs words: %j', (text) => {
    const { w, item } = towels();
    expect(w.refused('Aino', 'comment.say', { item, text }).code).toBe('title-empty');
  });
});

describe('watching', () => {
  test('is told of completion like a giver, and stops when stopped', () => {
    const { w, item } = towels();
    w.must('Eetu', 'watch.set', { item, person: w.person('Eetu'), on: true });
    for (const name of ['Leila', 'Noor']) w.must(name, 'part.checkOff', { item, person: w.person(name) });
    expect(w.told('Eetu')).toEqual(['completed']);
    w.must('Eetu', 'watch.set', { item, person: w.person('Eetu'), on: false });
    w.must('Noor', 'part.uncheck', { item, person: w.person('Noor') });
    w.must('Noor', 'part.checkOff', { item, person: w.person('Noor') });
    expect(w.told('Eetu')).toEqual(['completed']);
  });

  test('who gave it is told when it is done, unless they switched that off; of a question they are told all the same', () => {
    const { w, item } = towels();
    w.must('Aino', 'watch.set', { item, person: w.person('Aino'), on: false });
    w.must('Leila', 'part.askBack', { item, question: 'White or grey?' });
    for (const name of ['Leila', 'Noor']) w.must(name, 'part.checkOff', { item, person: w.person(name) });
    expect(w.told('Aino')).toEqual(['question']);
  });

  test('of each part only who asked for it is told, and of the last as of the whole', () => {
    const { w, item } = towels();
    w.must('Eetu', 'watch.set', { item, person: w.person('Eetu'), on: true });
    w.must('Aino', 'watch.set', { item, person: w.person('Aino'), on: true, each: true });
    for (const name of ['Leila', 'Noor']) w.must(name, 'part.checkOff', { item, person: w.person(name) });
    expect([w.told('Aino'), w.told('Eetu')]).toEqual([['part-done', 'completed'], ['completed']]);
  });

  test('somebody who cannot see the item cannot be made to watch it', () => {
    const { w, list } = towels();
    const other = w.item('Aino', 'Secret', { list });
    expect(w.refused('Aino', 'watch.set', { item: other, person: w.person('Leila'), on: true })).toMatchObject({ code: 'cannot-open-list', field: 'person' });
  });
});

test('only one’s own notices are read', () => {
  const { w } = towels();
  const [notice] = w.rows.by('notice', 'personId', w.person('Leila'));
  expect(w.refused('Noor', 'notice.read', { notices: [notice!.id] }).code).toBe('not-allowed');
  w.must('Leila', 'notice.read', { notices: [notice!.id] });
  expect(w.rows.get('notice', notice!.id)).toMatchObject({ readAt: w.now });
});

test('who spoke in a thread hears what comes after it, as long as they can see the item', () => {
  const { w, list, item } = towels();
  w.must('Eetu', 'comment.say', { item, text: 'Which ones?' });
  w.must('Leila', 'comment.say', { item, text: 'The white ones' });
  expect(w.told('Eetu')).toEqual(['comment']);
  w.must('Aino', 'list.share', { list, person: w.person('Eetu'), access: null });
  w.must('Leila', 'comment.say', { item, text: 'And the grey ones' });
  expect(w.told('Eetu')).toEqual(['comment']);
});
