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
  expect(w.rows.find('notice', notice!.id)).toMatchObject({ readAt: w.now });
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

describe('talking so that somebody answers', () => {
  const said = (w: World, item: string) => w.rows.by('comment', 'itemId', item).filter(({ removedAt }) => removedAt === null);
  const idOf = (w: World, item: string, text: string) => said(w, item).find((one) => one.text === text)!.id;

  test('an answer says what it answers; whoever asked is told that, once, the others that something was said', () => {
    const { w, item } = towels();
    w.must('Leila', 'comment.say', { item, text: 'Which valve is it?' });
    w.must('Noor', 'comment.say', { item, text: 'The left one', answers: idOf(w, item, 'Which valve is it?') });
    expect(said(w, item).find(({ text }) => text === 'The left one')).toMatchObject({ answersId: idOf(w, item, 'Which valve is it?'), audience: 'all' });
    expect(w.told('Leila')).toEqual(['handed', 'replied']);
    expect(w.told('Aino')).toEqual(['comment', 'comment']);
  });

  test('who is addressed is told so, once; who can’t see it is not, and the writer learns that', () => {
    const { w, item } = towels();
    w.join('Marek');
    const { notes } = w.try('Leila', 'comment.say', { item, text: '@Eetu @Noor @Marek', mentions: [w.person('Eetu'), w.person('Noor'), w.person('Marek'), w.person('Noor')] }) as { notes: object[] }; // prettier-ignore
    expect(w.told('Eetu')).toEqual(['mentioned']);
    expect(w.told('Noor')).toEqual(['handed', 'mentioned']);
    expect(w.told('Marek')).toEqual([]);
    expect(notes).toEqual([{ code: 'cannot-see', params: { name: 'Marek' } }]);
    expect(said(w, item)[0]!.mentions).toEqual([w.person('Eetu'), w.person('Noor')]);
  });

  test('let in with it, they are told like anybody addressed, see the item, its steps and what is said, and may reply, no more', () => {
    const { w, item } = towels();
    w.join('Marek');
    const step = w.item('Aino', 'The blue ones', { parent: item });
    const marek = w.person('Marek');
    w.must('Aino', 'comment.say', { item, text: '@Marek, is that all?', mentions: [marek], letIn: [marek] });
    expect(w.told('Marek')).toEqual(['mentioned']);
    w.must('Marek', 'comment.say', { item, text: 'All of it' });
    w.must('Marek', 'comment.say', { item: step, text: 'These too' });
    for (const [name, payload] of [
      ['item.change', { item, notes: 'Mine' }],
      ['part.take', { item }],
      ['item.add', { title: 'More', parent: item }],
    ] as const)
      // prettier-ignore
      expect(w.refused('Marek', name, payload as never).code).toBe('not-allowed');
    w.must('Aino', 'guest.end', { item, person: marek });
    expect(w.refused('Marek', 'comment.say', { item, text: 'Wait' }).code).toBe('not-allowed');
    // once more, and left by themselves
    w.must('Aino', 'comment.say', { item, text: '@Marek?', mentions: [marek], letIn: [marek] });
    w.must('Marek', 'guest.end', { item, person: marek });
    expect(w.refused('Marek', 'comment.say', { item, text: 'Wait' }).code).toBe('not-allowed');
  });

  test('only whoever may hand it over lets anybody in; nobody is let in who is not addressed, has no account, or reads what two say', () => {
    const { w, item } = towels();
    w.join('Marek');
    w.must('Aino', 'person.add', { name: 'Workshop', mark: 'WO', colour: 'moss', pattern: 'weft' });
    const [marek, workshop] = [w.person('Marek'), w.person('Workshop')];
    const letIn = { text: '@Marek', mentions: [marek], letIn: [marek] };
    expect(w.refused('Leila', 'comment.say', { item, ...letIn }).code).toBe('not-allowed');
    w.must('Aino', 'comment.say', { item, text: 'Well', letIn: [marek] });
    w.must('Aino', 'comment.say', { item, text: '@Workshop', mentions: [workshop], letIn: [workshop] });
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    w.must('Aino', 'part.sendBack', { item, person: w.person('Leila'), reason: 'Fold them again' });
    const between = w.rows.by('comment', 'itemId', item).find(({ audience }) => audience === 'pair')!;
    w.must('Aino', 'comment.say', { item, answers: between.id, ...letIn });
    expect(w.rows.all('guest')).toEqual([]);
  });

  test('undone, the remark is gone, whoever was let in sees nothing any more and is not told', () => {
    const { w, item } = towels();
    w.join('Marek');
    const marek = w.person('Marek');
    const { id } = w.must('Aino', 'comment.say', { item, text: '@Marek', mentions: [marek], letIn: [marek] });
    w.must('Aino', 'undo', { command: id });
    expect(w.told('Marek')).toEqual([]);
    expect(w.refused('Marek', 'comment.say', { item, text: 'Yes?' }).code).toBe('not-allowed');
  });

  test('what giver and person said to each other is answered between them alone', () => {
    const { w, item } = towels();
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    w.must('Aino', 'part.sendBack', { item, person: w.person('Leila'), reason: 'Fold them again' });
    const private_ = w.rows.by('comment', 'itemId', item).find(({ audience }) => audience === 'pair')!;
    w.must('Leila', 'comment.say', { item, text: 'Done twice already', answers: private_.id, mentions: [w.person('Eetu')] });
    const answer = said(w, item).find(({ text }) => text === 'Done twice already')!;
    expect(answer).toMatchObject({ audience: 'pair', partId: private_.partId, mentions: [] });
    expect(w.told('Noor')).toEqual(['handed']);
    expect(w.told('Eetu')).toEqual([]);
    expect(w.told('Aino')).toContain('replied');
    // a third can’t answer what they can’t read
    expect(w.refused('Noor', 'comment.say', { item, text: 'Let me', answers: private_.id })).toMatchObject({ code: 'gone' });
  });

  test('one’s own is put right, and how it read stands in the history; what only two read leaves no trace there', () => {
    const { w, item } = towels();
    w.must('Leila', 'comment.say', { item, text: 'Tow are torn' });
    const id = idOf(w, item, 'Tow are torn');
    expect(w.refused('Aino', 'comment.correct', { comment: id, text: 'Mine now' }).code).toBe('not-allowed');
    w.must('Leila', 'comment.correct', { comment: id, text: 'Two are torn' });
    expect(w.rows.find('comment', id)).toMatchObject({ text: 'Two are torn', correctedAt: w.now });
    const before = () => w.rows.by('activity', 'itemId', item).filter(({ kind }) => kind === 'comment.correct').map(({ params }) => params['before']); // prettier-ignore
    expect(before()).toEqual(['Tow are torn']);
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    w.must('Aino', 'part.sendBack', { item, person: w.person('Leila'), reason: 'Again' });
    w.must('Aino', 'comment.correct', { comment: idOf(w, item, 'Again'), text: 'Again, please' });
    expect(before()).toEqual(['Tow are torn', undefined]);
  });

  test('taken back: gone for the others, and nobody is told who was not yet; undone it is there again', () => {
    const { w, item } = towels();
    w.must('Leila', 'comment.say', { item, text: 'Never mind', mentions: [w.person('Noor')] });
    const id = idOf(w, item, 'Never mind');
    const taken = w.try('Leila', 'comment.takeBack', { comment: id });
    if (taken.outcome !== 'accepted') throw new Error(taken.outcome);
    expect(said(w, item)).toEqual([]);
    const open = (name: string) => w.rows.by('notice', 'personId', w.person(name)).filter(({ withdrawnAt }) => withdrawnAt === null).map(({ kind }) => kind); // prettier-ignore
    expect(open('Noor')).toEqual(['handed']);
    expect(open('Aino')).toEqual([]);
    expect(w.refused('Noor', 'comment.say', { item, text: 'What?', answers: id })).toMatchObject({ code: 'gone' });
    expect(w.refused('Leila', 'comment.correct', { comment: id, text: 'x' })).toMatchObject({ code: 'gone' });
    w.must('Leila', 'undo', { command: taken.id });
    expect(said(w, item)).toHaveLength(1);
  });
});
