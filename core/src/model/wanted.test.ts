import fc from 'fast-check';
import { World } from '../testing/world.ts';
import { answerOf } from './wanted.ts';

describe('an answer as it is kept', () => {
  test.each([
    ['12', '12'],
    [' 12,5 ', '12.5'],
    ['1 204,50', '1204.5'],
    ['1\u202f204', '1204'],
    ['−3', '-3'],
    ['+7.0', '7'],
    ['twelve', null],
    ['1.2.3', null],
    ['1e9', null],
    ['', null],
    ['9999999999999', null],
  ])('of a number: %j', (typed, kept) => expect(answerOf({ kind: 'number' }, typed)).toBe(kept));

  test('of a word: as typed, without its ends', () => {
    expect(answerOf({ kind: 'word' }, '  in the shed ')).toBe('in the shed');
    expect(answerOf({ kind: 'word' }, '   ')).toBeNull();
  });

  test('whatever number is written, it is that number again', () => {
    fc.assert(
      fc.property(fc.integer({ min: -999_999, max: 999_999 }), fc.nat(999), (whole, part) => {
        const value = Number(`${whole}.${String(part).padStart(3, '0')}`);
        expect(Number(answerOf({ kind: 'number' }, String(value).replace('.', ',')))).toBe(value);
      }),
    );
  });
});

describe('what asks for something when it is checked off', () => {
  const METER = { kind: 'number' as const, what: 'The meter says', unit: 'kWh' };
  function meter() {
    const w = new World();
    w.join('Leila', 'helper');
    const item = w.item('Aino', 'Read the meter', { persons: [w.person('Leila')], wanted: METER });
    const check = { item, person: w.person('Leila') };
    return { w, item, check };
  }

  test('keeps the answer beside the tick and in the thread; unchecked, it goes', () => {
    const { w, item, check } = meter();
    w.must('Leila', 'part.checkOff', { ...check, answer: '1 204,5' });
    expect(w.part(item, 'Leila').answer).toBe('1204.5');
    expect(w.rows.by('comment', 'itemId', item).map(({ text }) => text)).toEqual(['The meter says: 1204.5 kWh']);
    w.must('Leila', 'part.uncheck', check);
    expect(w.part(item, 'Leila').answer).toBeNull();
  });

  test('refuses what is no number, and nothing is checked off', () => {
    const { w, item, check } = meter();
    expect(w.refused('Leila', 'part.checkOff', { ...check, answer: 'a lot' })).toMatchObject({ code: 'not-a-number', field: 'answer' });
    expect(w.part(item, 'Leila').standing).toBe('needs-action');
  });

  test('a tick without an answer counts: not every device can ask', () => {
    const { w, item, check } = meter();
    w.must('Leila', 'part.checkOff', check);
    expect(w.part(item, 'Leila')).toMatchObject({ standing: 'completed', answer: null });
  });

  test('a word may be added to any tick', () => {
    const w = new World();
    const item = w.item('Aino', 'Find the key');
    w.must('Aino', 'part.checkOff', { item, person: null, answer: 'in the shed' });
    expect(w.part(item, null).answer).toBe('in the shed');
  });

  test('each of a chore asks, and undoing a tick takes its answer along', () => {
    const w = new World();
    w.must('Aino', 'chore.make', { title: 'Read the meter', rrule: 'FREQ=DAILY', dtstart: '2026-11-24', wanted: METER });
    const open = () => w.rows.all('item').find(({ removedAt, id }) => removedAt === null && w.parts(id).every(({ standing }) => standing !== 'completed'))!;
    const { id } = w.must('Aino', 'part.checkOff', { item: open().id, person: null, answer: '7' });
    expect(open()).toMatchObject({ due: '2026-11-25', wanted: METER });
    w.must('Aino', 'undo', { command: id });
    expect(open()).toMatchObject({ due: '2026-11-24' });
    expect(w.part(open().id, null).answer).toBeNull();
  });
});
