import { World } from '../testing/world.ts';
import { nudgeOf, nudgeBatches } from './nudge-batches.ts';

const HELSINKI = (wall: string) => new Date(`${wall}:00+02:00`).toISOString();

/** Tuesday 24 November 2026, noon in Helsinki; nights from nine to seven are quiet. */
function house() {
  const w = new World();
  w.now = HELSINKI('2026-11-24T12:00');
  w.join('Leila', 'helper');
  w.join('Tapio', 'helper');
  const house = () => w.rows.all('house')[0]!;
  const list = w.list('Aino', 'Rooms', [['Leila', 'check'], ['Tapio', 'check']]); // prettier-ignore
  const hand = (title: string, fields: { due?: string; start?: string } = {}, who = 'Leila') =>
    w.item('Aino', title, { list, persons: [w.person(who)], ...fields });
  /** Fires every round that comes until then, as the server would, and tells when and why. */
  const until = (end: string) => {
    const fired: string[] = [];
    for (;;) {
      const [round] = nudgeBatches(house(), w.rows);
      if (!round || round.at > end) return fired;
      if (round.at > w.now) w.now = round.at;
      const reasons = round.partIds.map((id) => nudgeOf(w.rows.find('part', id) as never, house(), w.rows)!.reason);
      w.system('nudge.send', { person: round.personId, parts: round.partIds, at: round.at });
      fired.push(`${wallOf(w.now)} ${[...new Set(reasons)].join(', ')}`);
    }
  };
  const next = (item: string, who = 'Leila') => {
    const nudge = nudgeOf(w.part(item, who), house(), w.rows);
    return nudge ? `${wallOf(nudge.at)} ${nudge.reason}` : null;
  };
  return { w, list, hand, until, next };
}
const wallOf = (instant: string) => new Date(Date.parse(instant) + 2 * 3_600_000).toISOString().slice(0, 16);

describe('with a deadline', () => {
  test('half-way if unseen, a day before, at it; after three in vain it stops', () => {
    const { hand, until, w } = house();
    // handed over on Tuesday noon, due on Monday noon: half-way is Friday noon
    hand('Fire plan', { due: '2026-11-30T12:00' });
    expect(until(HELSINKI('2026-12-31T00:00'))).toEqual(['2026-11-27T12:00 unseen', '2026-11-29T12:00 before-due', '2026-11-30T12:00 due']);
    expect(w.told('Leila')).toEqual(['handed', 'nudge', 'nudge', 'nudge']);
    expect(w.told('Aino')).toEqual(['no-answer']);
  });
  test('what was seen is not nudged for being unseen', () => {
    const { hand, next, w } = house();
    const item = hand('Fire plan', { due: '2026-11-30T12:00' });
    w.must('Leila', 'part.see', { item });
    expect(next(item)).toBe('2026-11-29T12:00 before-due');
  });
  test('less than a day: half of what is left; nothing at night', () => {
    const { hand, until } = house();
    // noon to eight in the evening: four o'clock, and eight itself
    hand('Count the beds', { due: '2026-11-24T20:00' });
    expect(until(HELSINKI('2026-11-25T12:00'))).toEqual(['2026-11-24T16:00 unseen', '2026-11-24T20:00 due']);
  });
  test('of long ago it is asked about by the week, from the next such day on', () => {
    const { hand, next, until } = house();
    // 2 January 1970 was a Friday; the night ends at seven
    const item = hand('Fire plan', { due: '1970-01-02' });
    expect(next(item)).toBe('2026-11-27T07:00 after-due');
    expect(until(HELSINKI('2027-12-31T00:00'))).toEqual(['2026-11-27T07:00', '2026-12-04T07:00', '2026-12-11T07:00'].map((at) => `${at} after-due`));
  });
  test('without an hour the deadline counts from the morning', () => {
    const { hand, next, w } = house();
    const item = hand('Fire plan', { due: '2026-11-26' });
    w.must('Leila', 'part.see', { item });
    // six on Wednesday is quiet: seven
    expect(next(item)).toBe('2026-11-25T07:00 before-due');
  });
  test('after it, on the first, second, fourth and seventh day, then weekly, as long as there are signs of life', () => {
    const { hand, until, w } = house();
    const item = hand('Fire plan', { due: '2026-11-25T12:00' });
    const alive = () => w.must('Leila', 'part.progress', { item, percent: 10 });
    expect(until(HELSINKI('2026-11-26T13:00'))).toHaveLength(3);
    w.now = HELSINKI('2026-11-26T18:00');
    alive();
    // Friday noon is less than a day off and is skipped
    expect(until(HELSINKI('2026-11-30T00:00'))).toEqual(['2026-11-29T12:00 after-due']);
    w.now = HELSINKI('2026-11-30T18:00');
    alive();
    expect(until(HELSINKI('2026-12-20T00:00'))).toEqual(['2026-12-02T12:00 after-due', '2026-12-09T12:00 after-due', '2026-12-16T12:00 after-due']);
  });
});

test('without a deadline after 3, 7 and 14 days', () => {
  const { hand, until } = house();
  hand('Stove door');
  expect(until(HELSINKI('2027-01-31T00:00'))).toEqual(['2026-11-27T12:00 no-due', '2026-12-01T12:00 no-due', '2026-12-08T12:00 no-due']);
});

test('what may not start yet is counted from its start', () => {
  const { hand, next } = house();
  expect(next(hand('Linen', { start: '2026-12-10' }))).toBe('2026-12-13T07:00 no-due');
});

test('several things of one person are one nudge, and another is not bothered', () => {
  const { hand, until, w } = house();
  hand('One', {}, 'Tapio');
  w.later(10);
  hand('Two', {}, 'Tapio');
  w.later(15);
  hand('Three', {}, 'Tapio');
  expect(until(HELSINKI('2026-11-28T00:00'))).toEqual(['2026-11-27T12:00 no-due']);
  expect(w.told('Tapio').filter((kind) => kind.startsWith('nudge'))).toEqual(['nudges']);
  expect(w.told('Leila')).toEqual([]);
});

test('what comes within half an hour of the last one waits for the end of it', () => {
  const { hand, until, w } = house();
  hand('One', {}, 'Tapio');
  w.later(40);
  hand('Two', {}, 'Tapio');
  // One takes along what comes by 12:30; Two at 12:40 has a window of its own
  expect(until(HELSINKI('2026-11-28T00:00'))).toEqual(['2026-11-27T12:00 no-due', '2026-11-27T12:40 no-due']);
});

test('not on a day off', () => {
  const { hand, until, w } = house();
  w.must('Tapio', 'person.setRest', { person: w.person('Tapio'), rest: { hours: { from: '20:00', to: '09:00' }, daysOff: [5, 6] } });
  hand('Stove door', {}, 'Tapio');
  // Friday and Saturday are off
  expect(until(HELSINKI('2026-11-30T00:00'))).toEqual(['2026-11-29T09:00 no-due']);
});

describe('none for', () => {
  test.each([
    ['what is done', (w: World, item: string) => w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') })],
    ['what was declined', (w: World, item: string) => w.must('Leila', 'part.decline', { item, reason: '' })],
    ['what was asked back', (w: World, item: string) => w.must('Leila', 'part.askBack', { item, question: 'Which?' })],
    ['who was excused', (w: World, item: string) => w.must('Aino', 'part.excuse', { item, person: w.person('Leila') })],
    ['what was taken back', (w: World, item: string) => w.must('Aino', 'part.takeBack', { item, persons: [w.person('Leila')] })],
    ['what was removed', (w: World, item: string) => w.must('Aino', 'item.remove', { items: [item] })],
    ['an item at no pace', (w: World, item: string) => w.must('Aino', 'item.change', { item, pace: 'off' })],
    ['a house at no pace', (w: World) => w.must('Aino', 'house.change', { pace: 'off' })],
  ])('%s', (_name, happens) => {
    const { hand, until, w } = house();
    happens(w, hand('It', { due: '2026-11-26T12:00' }));
    expect(until(HELSINKI('2027-03-01T00:00'))).toEqual([]);
  });
});

describe('by hand', () => {
  test('at once, with a word only the two read, and instead of what would come within a day', () => {
    const { hand, next, w } = house();
    const item = hand('Fire plan', { due: '2026-11-25T14:00' });
    w.must('Aino', 'part.nudge', { item, persons: [w.person('Leila')], words: 'How is it going?' });
    expect(w.told('Leila')).toEqual(['handed', 'nudge']);
    expect(w.part(item, 'Leila')).toMatchObject({ nudgedAt: w.now, unanswered: 1 });
    expect(w.rows.by('comment', 'itemId', item)[0]).toMatchObject({ text: 'How is it going?', audience: 'pair' });
    // of Wednesday 14:00 only what is more than a day off is left
    expect(next(item)).toBe('2026-11-25T14:00 due');
  });
  test('once an hour', () => {
    const { hand, w } = house();
    const item = hand('Fire plan');
    const nudge = () => w.try('Aino', 'part.nudge', { item, persons: [w.person('Leila')] });
    expect(nudge().outcome).toBe('accepted');
    w.later(59);
    expect(w.refused('Aino', 'part.nudge', { item, persons: [w.person('Leila')] })).toMatchObject({
      code: 'nudged-already',
      params: { name: 'Leila', minutes: 1 },
    });
    w.later(1);
    expect(nudge().outcome).toBe('accepted');
  });
  test('once an hour on a device whose clock is a little behind as well', () => {
    const { hand, w } = house();
    const item = hand('Fire plan');
    const asked = { item, persons: [w.person('Leila')] };
    w.must('Aino', 'part.nudge', asked);
    w.later(-0.05);
    expect(w.refused('Aino', 'part.nudge', asked)).toMatchObject({ code: 'nudged-already', params: { minutes: 60 } });
  });
  test('at night it waits for the morning, and says so', () => {
    const { hand, next, until, w } = house();
    const item = hand('Fire plan');
    w.now = HELSINKI('2026-11-24T22:15');
    const { notes } = w.must('Aino', 'part.nudge', { item, persons: [w.person('Leila')] });
    expect(notes).toEqual([{ code: 'nudge-waits', params: { name: 'Leila', until: HELSINKI('2026-11-25T07:00') } }]);
    expect(w.told('Leila')).toEqual(['handed']);
    // asked once more in the night it is still one
    expect(w.must('Aino', 'part.nudge', { item, persons: [w.person('Leila')] }).notes).toEqual(notes);
    expect(next(item)).toBe('2026-11-25T07:00 by-hand');
    expect(until(HELSINKI('2026-11-25T12:00'))).toEqual(['2026-11-25T07:00 by-hand']);
    expect(w.told('Leila')).toEqual(['handed', 'nudge']);
  });
  test('nobody is nudged about what is not theirs or done', () => {
    const { hand, w } = house();
    const item = hand('Fire plan');
    expect(w.refused('Aino', 'part.nudge', { item, persons: [w.person('Tapio')] }).code).toBe('nothing-to-nudge');
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
    expect(w.refused('Aino', 'part.nudge', { item, persons: [w.person('Leila')] }).code).toBe('nothing-to-nudge');
  });
});

test('a round that comes too late is told as late, and one that was sent already does nothing', () => {
  const { hand, w } = house();
  const item = hand('Stove door');
  w.now = HELSINKI('2026-12-24T12:00');
  const [round] = nudgeBatches(w.rows.all('house')[0]!, w.rows);
  expect(round!.at).toBe(HELSINKI('2026-11-27T12:00'));
  const send = () => w.system('nudge.send', { person: round!.personId, parts: round!.partIds, at: round!.at });
  send();
  send();
  expect(w.part(item, 'Leila').unanswered).toBe(1);
  const notice = w.rows.by('notice', 'personId', w.person('Leila')).find(({ kind }) => kind === 'nudge')!;
  expect(notice.params['late']).toBe(true);
});

test('nobody signed in can send what the clock sends', () => {
  const { hand, w } = house();
  const item = hand('Stove door');
  const payload = { person: w.person('Leila'), parts: [w.part(item, 'Leila').id], at: w.now };
  expect(w.refused('Aino', 'nudge.send', payload).code).toBe('not-allowed');
});
