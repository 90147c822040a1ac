import { isDone, progressOf } from '../followup/standing.ts';
import { World } from '../testing/world.ts';

/** Aino's list, Leila and Noor as helpers who see only what they are handed, Eetu with `check`. */
function boathouse() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  w.join('Eetu');
  const list = w.list('Aino', 'Opening the boathouse', [['Eetu', 'check']]);
  const jackets = w.item('Aino', 'Check the life jackets', { list });
  return { w, list, jackets };
}
const hand = (w: World, item: string, names: string[], more: object = {}) =>
  w.must('Aino', 'part.handOver', { items: [item], persons: names.map((name) => w.person(name)), ...more });
const done = (w: World, item: string) => isDone(w.row(item), w.parts(item));

describe('an item for each of two', () => {
  test('is done when both parts are in; the giver is told once, of the last', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila', 'Noor'], { policy: 'each', due: '2026-11-27T17:00', message: "count the children's sizes too" });
    expect(w.told('Leila')).toEqual(['handed']);
    expect(w.part(jackets, 'Leila').message).toBe("count the children's sizes too");
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    expect(progressOf(w.row(jackets), w.parts(jackets))).toEqual({ done: 1, of: 2 });
    expect(w.told('Aino')).toEqual([]);
    w.must('Noor', 'part.checkOff', { item: jackets, person: w.person('Noor') });
    expect(done(w, jackets)).toBe(true);
    expect(w.told('Aino')).toEqual(['completed']);
  });

  test('declined and passed to a third: the one who declined no longer counts', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila', 'Noor'], { policy: 'each' });
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    w.must('Noor', 'part.decline', { item: jackets, reason: 'My back' });
    expect(done(w, jackets)).toBe(false);
    w.must('Aino', 'part.passOn', { item: jackets, from: w.person('Noor'), to: w.person('Eetu') });
    expect(w.part(jackets, 'Noor')).toMatchObject({ standing: 'declined', passedTo: w.person('Eetu') });
    expect(progressOf(w.row(jackets), w.parts(jackets))).toEqual({ done: 1, of: 2 });
    w.must('Eetu', 'part.checkOff', { item: jackets, person: w.person('Eetu') });
    expect(done(w, jackets)).toBe(true);
  });

  test('someone joining opens it again, someone leaving completes it', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila'], { policy: 'each' });
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    hand(w, jackets, ['Noor']);
    expect(done(w, jackets)).toBe(false);
    expect(w.told('Aino')).toEqual(['completed']);
    w.must('Aino', 'part.takeBack', { item: jackets, persons: [w.person('Noor')] });
    expect(done(w, jackets)).toBe(true);
    expect(w.told('Noor')).toEqual(['handed', 'taken-back']);
  });

  test('excusing one does not wait for them any more', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila', 'Noor'], { policy: 'each' });
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    w.must('Aino', 'part.excuse', { item: jackets, person: w.person('Noor') });
    expect(done(w, jackets)).toBe(true);
  });
});

test.each([
  ['opening it', 'part.see', {}],
  ['taking it', 'part.accept', {}],
  ['declining it', 'part.decline', {}],
  ['saying how far it is', 'part.progress', { percent: 20 }],
] as const)('%s reads what was told of it, for that person alone', (_name, name, more) => {
  const { w, jackets } = boathouse();
  hand(w, jackets, ['Leila', 'Noor'], { policy: 'each' });
  w.must('Leila', name, { item: jackets, ...more } as never);
  const readBy = (who: string) => w.rows.by('notice', 'personId', w.person(who)).map((notice) => notice.readAt);
  expect(readBy('Leila')).toEqual([w.now]);
  expect(readBy('Noor')).toEqual([null]);
});

describe('an item for any of two', () => {
  test('the first to arrive completes it; the later tap is kept and told who was first', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila', 'Noor'], { policy: 'any' });
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    expect(done(w, jackets)).toBe(true);
    const { notes } = w.must('Noor', 'part.checkOff', { item: jackets, person: w.person('Noor') });
    expect(notes).toEqual([{ code: 'already-done', params: { by: 'Leila', at: w.now } }]);
    expect(w.part(jackets, 'Noor').standing).toBe('completed');
    expect(w.told('Aino')).toEqual(['completed']);
  });
});

describe('unchecking', () => {
  test.each([
    ['accepted', (w: World, item: string) => w.must('Leila', 'part.accept', { item })],
    ['in-process', (w: World, item: string) => w.must('Leila', 'part.progress', { item, percent: 40 })],
    ['needs-action', () => undefined],
  ] as const)('returns a part to %s, and tells who was told', (standing, before) => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila']);
    before(w, jackets);
    const { percent } = w.part(jackets, 'Leila');
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    w.must('Leila', 'part.uncheck', { item: jackets, person: w.person('Leila') });
    expect(w.part(jackets, 'Leila')).toMatchObject({ standing, percent, completedAt: null, tiedAt: null });
    expect(w.told('Aino')).toEqual(['completed', 'reopened']);
  });

  test('a step opens its item again', () => {
    const { w, list, jackets } = boathouse();
    w.must('Aino', 'item.add', { title: 'Whistles', list, parent: jackets });
    const step = w.rows.all('item').find((item) => item.title === 'Whistles')!.id;
    w.must('Aino', 'part.checkOff', { item: step, person: null });
    w.must('Aino', 'part.checkOff', { item: jackets, person: null });
    w.must('Aino', 'part.uncheck', { item: step, person: null });
    expect(done(w, jackets)).toBe(false);
  });
});

describe('confirm wanted', () => {
  test('a completed part waits until the giver ties it off', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila'], { confirm: true });
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    expect(done(w, jackets)).toBe(false);
    expect(w.told('Aino')).toEqual(['waits-for-tie']);
    w.must('Aino', 'part.tieOff', { item: jackets, person: w.person('Leila') });
    expect(done(w, jackets)).toBe(true);
    expect(w.told('Leila')).toEqual(['handed', 'tied']);
  });

  test('sent back with a reason, it is open again', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila'], { confirm: true });
    w.must('Leila', 'part.checkOff', { item: jackets, person: w.person('Leila') });
    w.must('Aino', 'part.sendBack', { item: jackets, person: w.person('Leila'), reason: 'Two are missing' });
    expect(w.part(jackets, 'Leila')).toMatchObject({ standing: 'accepted', completedAt: null });
    expect(w.rows.all('comment')).toMatchObject([{ text: 'Two are missing', audience: 'pair', kind: 'sent-back' }]);
  });
});

describe('a question back', () => {
  test('stands until the giver answers', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila']);
    w.must('Leila', 'part.askBack', { item: jackets, question: 'White or grey?' });
    expect(w.part(jackets, 'Leila').standing).toBe('tentative');
    w.must('Aino', 'comment.say', { item: jackets, text: 'Grey' });
    expect(w.part(jackets, 'Leila').standing).toBe('needs-action');
    expect(w.told('Leila')).toEqual(['handed', 'answer']);
  });
});

describe('a tap counts when it was made', () => {
  const at = (w: World, tap: string) => {
    const item = w.rows.all('item').find((row) => row.title === 'Check the life jackets')!.id;
    hand(w, item, ['Leila']);
    w.later(60);
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') }, { at: tap });
    return w.part(item, 'Leila');
  };
  test.each([
    ['within', '2026-11-24T10:30:00.000Z', '2026-11-24T10:30:00.000Z'],
    ['before the handover', '2026-11-24T08:00:00.000Z', '2026-11-24T10:00:00.000Z'],
    ['in the future', '2026-11-25T08:00:00.000Z', '2026-11-24T11:00:00.000Z'],
  ])('%s', (_name, tap, counted) => {
    const { w } = boathouse();
    const part = at(w, tap);
    expect(part.completedAt).toBe(counted);
    expect(part.arrivedAt).toBe('2026-11-24T11:00:00.000Z');
  });
});

describe('nobody', () => {
  test('an item nobody was given has one part without a person; a handover takes its place and gives it back', () => {
    const { w, jackets } = boathouse();
    const counting = () =>
      w
        .parts(jackets)
        .filter((part) => !part.takenBackAt)
        .map((part) => part.personId);
    expect(counting()).toEqual([null]);
    hand(w, jackets, ['Leila']);
    expect(counting()).toEqual([w.person('Leila')]);
    w.must('Aino', 'part.takeBack', { item: jackets, persons: [w.person('Leila')] });
    expect(counting()).toEqual([null]);
  });

  test('whoever may check takes it', () => {
    const { w, jackets } = boathouse();
    w.must('Eetu', 'part.take', { item: jackets });
    expect(w.part(jackets, 'Eetu')).toMatchObject({ standing: 'accepted', giverId: w.person('Eetu') });
    expect(w.refused('Leila', 'part.take', { item: jackets }).code).toBe('not-allowed');
  });
});

test('passing on keeps the chain: the first person still follows it, the first giver stays the origin', () => {
  const { w, jackets } = boathouse();
  hand(w, jackets, ['Eetu'], { message: 'By Friday' });
  w.must('Eetu', 'part.passOn', { item: jackets, from: w.person('Eetu'), to: w.person('Noor') });
  expect(w.rows.all('activity').findLast(({ kind }) => kind === 'part.passOn')!.params).toEqual({ from: null, to: 'Noor' });
  expect(w.part(jackets, 'Eetu')).toMatchObject({ standing: 'delegated', passedTo: w.person('Noor'), takenBackAt: null });
  expect(w.part(jackets, 'Noor')).toMatchObject({ giverId: w.person('Eetu'), originId: w.person('Aino'), message: 'By Friday' });
  expect(w.told('Aino')).toEqual(['passed']);
  w.must('Noor', 'part.checkOff', { item: jackets, person: w.person('Noor') });
  expect(w.told('Eetu')).toContain('completed');
  expect(w.refused('Noor', 'part.passOn', { item: jackets, from: w.person('Noor'), to: w.person('Leila') }).code).toBe('not-allowed');
});

describe('a day that comes with a handover', () => {
  function leaves() {
    const { w, list } = boathouse();
    const item = w.item('Aino', 'Rake the leaves', { list, persons: [w.person('Leila')], plan: '2026-11-27T16:00' });
    return { w, item };
  }

  test('is its giver’s too; moved by the person it stays so', () => {
    const { w, item } = leaves();
    expect(w.part(item, 'Leila')).toMatchObject({ plan: '2026-11-27T16:00', planGiverId: w.person('Aino') });
    w.must('Leila', 'part.plan', { items: [item], plan: '2026-11-28' });
    expect(w.part(item, 'Leila')).toMatchObject({ plan: '2026-11-28', planGiverId: w.person('Aino'), lastSignAt: w.now });
  });

  test('one of one’s own making is nobody else’s', () => {
    const { w, jackets } = boathouse();
    hand(w, jackets, ['Leila']);
    w.must('Leila', 'part.plan', { items: [jackets], plan: '2026-11-28' });
    expect(w.part(jackets, 'Leila').planGiverId).toBeNull();
    const own = w.item('Leila', 'Her own', { plan: '2026-11-28' });
    expect(w.part(own, 'Leila').planGiverId).toBeNull();
  });

  test('goes along when it is passed on, and ends when it is taken back', () => {
    const { w, item } = leaves();
    w.must('Aino', 'part.passOn', { item, from: w.person('Leila'), to: w.person('Noor') });
    expect(w.part(item, 'Noor')).toMatchObject({ plan: '2026-11-27T16:00', planGiverId: w.person('Aino') });
    w.must('Aino', 'part.takeBack', { item, persons: [w.person('Noor')] });
    hand(w, item, ['Noor']);
    expect(w.part(item, 'Noor')).toMatchObject({ plan: null, planGiverId: null });
  });

  test('is set later by who gave it, and by nobody else; the person is told from what to what', () => {
    const { w, item } = leaves();
    expect(w.refused('Noor', 'part.planFor', { item, person: w.person('Leila'), plan: '2026-11-30' }).code).toBe('not-allowed');
    w.must('Aino', 'part.planFor', { item, person: w.person('Leila'), plan: '2026-11-30' });
    const notice = w.rows.by('notice', 'personId', w.person('Leila')).find(({ kind }) => kind === 'changed')!;
    expect(notice.params).toMatchObject({ field: 'plan', from: '2026-11-27T16:00', to: '2026-11-30' });
    expect(w.refused('Aino', 'part.planFor', { item, person: w.person('Leila'), plan: '2026-11-31' as string }).code).toBe('malformed');
  });
});

test('passed on by the giver, who had it is told where it went', () => {
  const { w, jackets } = boathouse();
  hand(w, jackets, ['Leila']);
  w.must('Aino', 'part.passOn', { item: jackets, from: w.person('Leila'), to: w.person('Noor') });
  expect(w.told('Leila')).toEqual(['handed', 'passed']);
  expect(w.told('Noor')).toEqual(['handed']);
});

test.each<[string, (w: World, item: string) => void, object]>([
  ['the deadline', (w, item) => void w.must('Aino', 'item.setDue', { item, due: '2026-11-30' }), { field: 'due', from: '2026-11-27', to: '2026-11-30' }],
  ['the title', (w, item) => void w.must('Aino', 'item.change', { item, title: 'Jackets' }), { field: 'title', from: 'Check the life jackets', to: 'Jackets' }],
  ['the second look', (w, item) => void w.must('Aino', 'item.change', { item, confirm: true }), { field: 'confirm', from: false, to: true }],
])('what was changed is said with the notice: %s', (_name, change, params) => {
  const { w, jackets } = boathouse();
  hand(w, jackets, ['Leila'], { due: '2026-11-27' });
  change(w, jackets);
  expect(w.rows.by('notice', 'personId', w.person('Leila')).find(({ kind }) => kind === 'changed')!.params).toMatchObject(params);
});

describe('the last step', () => {
  function opening() {
    const { w, list } = boathouse();
    const item = w.item('Aino', 'Open the boathouse', { list, persons: [w.person('Eetu')] });
    const step = w.item('Aino', 'Sweep it', { parent: item });
    hand(w, step, ['Leila']);
    return { w, item, step };
  }

  test('ticked by who sees only that: whoever has the whole is asked about it', () => {
    const { w, step } = opening();
    w.must('Leila', 'part.checkOff', { item: step, person: w.person('Leila') });
    expect(w.told('Eetu')).toEqual(['handed', 'last-step']);
  });

  test('ticked by who has the whole: they are asked on the screen, nobody is told', () => {
    const { w, item, step } = opening();
    hand(w, item, ['Leila']);
    w.must('Leila', 'part.checkOff', { item: step, person: w.person('Leila') });
    expect(w.told('Eetu')).toEqual(['handed']);
  });

  test('while another step is open nobody is asked', () => {
    const { w, item, step } = opening();
    w.item('Aino', 'Hang the keys', { parent: item });
    w.must('Leila', 'part.checkOff', { item: step, person: w.person('Leila') });
    expect(w.told('Eetu')).toEqual(['handed']);
  });
});

test('whoever is handed a step alone reads of what it is one, also after that is called otherwise', () => {
  const w = new World();
  w.join('Leila', 'helper');
  const sauna = w.item('Aino', 'Ready the sauna');
  const step = w.item('Aino', 'Fetch the birch', { parent: sauna });
  w.must('Aino', 'part.handOver', { items: [step], persons: [w.person('Leila')] });
  expect(w.part(step, 'Leila').under).toBe('Ready the sauna');
  w.must('Aino', 'item.change', { item: sauna, title: 'Ready both saunas' });
  expect(w.part(step, 'Leila').under).toBe('Ready both saunas');
  w.must('Aino', 'part.handOver', { items: [sauna], persons: [w.person('Leila')] });
  expect(w.part(sauna, 'Leila').under).toBeNull();
});
