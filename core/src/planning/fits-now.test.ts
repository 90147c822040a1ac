import fc from 'fast-check';
import { World } from '../testing/world.ts';
import { agendaOf } from './agenda.ts';
import { cappedDay } from './capped.ts';
import { bestWithin, candidatesOf, fitsNow, pressingFirst, whyNot, type Candidate, type Circumstances } from './fits-now.ts';

const OPEN: Circumstances = { minutes: null, energy: null, situations: null, place: null };

function candidate(id: string, minutes: number, more: { late?: boolean; soon?: boolean; importance?: number } = {}): Candidate {
  const item = { id, title: id, importance: more.importance ?? 0, energy: null, situationIds: [], placeId: null, effort: minutes };
  return { item: item as never, part: { percent: 0 } as never, minutes, isGuess: false, late: more.late ?? false, dueWithinADay: more.soon ?? false };
}
const names = (some: readonly Candidate[]) => some.map(({ item }) => item.title);

describe('the best set within the minutes', () => {
  test('a worked example: 20 minutes', () => {
    const all = [
      candidate('Cork the floats', 15),
      candidate('Order candles', 10, { soon: true }),
      candidate('Key rings', 10),
      candidate('Photos', 20, { importance: 3 }),
    ];
    // the one that is due within a day, and one more beside it
    expect(names(bestWithin(all, 20))).toEqual(['Order candles', 'Key rings']);
    expect(names(bestWithin(all, 9))).toEqual([]);
    // as much as with the floats, in fewer minutes
    expect(names(bestWithin(all, 45))).toEqual(['Order candles', 'Key rings', 'Photos']);
  });

  test('one that is late outweighs any number that are not', () => {
    const many = Array.from({ length: 30 }, (_, nth) => candidate(`Small ${nth}`, 1, { soon: true, importance: 3 }));
    expect(names(bestWithin([...many, candidate('Late', 30, { late: true })], 30))).toEqual(['Late']);
  });

  test('is never beaten by any other set, and is the first of its equals', () => {
    const aCandidate = fc.record({
      minutes: fc.integer({ min: 1, max: 30 }),
      late: fc.boolean(),
      soon: fc.boolean(),
      importance: fc.integer({ min: 0, max: 3 }),
    });
    fc.assert(
      fc.property(fc.array(aCandidate, { maxLength: 9 }), fc.integer({ min: 0, max: 70 }), (raw, minutes) => {
        const all = raw.map(({ late, soon, ...one }, nth) => candidate(String(nth), one.minutes, { late, soon: soon && !late, importance: one.importance }));
        const score = (set: readonly Candidate[]) => [
          set.filter((one) => one.late).length,
          set.filter((one) => one.dueWithinADay).length,
          set.reduce((sum, one) => sum + 2 * one.item.importance + 1, 0),
          -set.reduce((sum, one) => sum + one.minutes, 0),
        ];
        const better = (a: number[], b: number[]) => {
          for (let place = 0; place < a.length; place++) if (a[place] !== b[place]) return a[place]! > b[place]!;
          return false;
        };
        const best = bestWithin(all, minutes);
        expect(best.reduce((sum, one) => sum + one.minutes, 0)).toBeLessThanOrEqual(minutes);
        for (let mask = 0; mask < 1 << all.length; mask++) {
          const set = all.filter((_, nth) => mask & (1 << nth));
          if (set.reduce((sum, one) => sum + one.minutes, 0) > minutes) continue;
          expect(better(score(set), score(best))).toBe(false);
        }
      }),
      { numRuns: 200 },
    );
  });
});

describe('conditions', () => {
  const one = { ...candidate('Photos', 15) };
  one.item = { ...one.item, energy: 'middle', situationIds: ['phone'], placeId: 'quay' } as never;

  test.each([
    ['nothing asked', {}, null],
    ['too few minutes', { minutes: 10 }, 'minutes'],
    ['too little energy', { energy: 'low' }, 'energy'],
    ['enough energy', { energy: 'high' }, null],
    ['the tool is not there', { situations: ['ladder'] }, 'situations'],
    ['the tool is there', { situations: ['ladder', 'phone'] }, null],
    ['somewhere else', { place: 'shop' }, 'place'],
    ['the right place', { place: 'quay' }, null],
  ] as const)('%s', (_name, given, why) => expect(whyNot(one, { ...OPEN, ...given })).toBe(why));

  test('what asks for nothing fits everywhere', () => {
    expect(whyNot(candidate('Anything', 5), { minutes: 5, energy: 'low', situations: [], place: 'shop' })).toBeNull();
  });

  test('where nothing is left, the condition that brings most back is named', () => {
    const short = candidate('Short', 5);
    short.item = { ...short.item, energy: 'high' } as never;
    const fit = fitsNow([one, short], { ...OPEN, minutes: 20, energy: 'low' });
    expect(fit).toMatchObject({ fits: [], best: [], minutes: 0, loosen: { condition: 'energy', brings: 2 } });
  });
});

test('candidates are mine and nobody’s that I may check off; undated count, later plans, the shelf and what waits do not', () => {
  const w = new World();
  w.join('Eetu');
  const list = w.list('Aino', 'Yard', [['Eetu', 'check']]);
  w.item('Aino', 'Nobody’s', { list });
  w.item('Aino', 'Mine', { list, persons: [w.person('Eetu')] });
  w.item('Aino', 'Another’s', { list, persons: [w.person('Aino')] });
  w.item('Eetu', 'Planned for later', { plan: '2026-12-01' });
  w.item('Eetu', 'Not yet', { start: '2026-12-01' });
  const shelved = w.item('Eetu', 'Idea');
  w.must('Eetu', 'part.shelve', { items: [shelved] });
  w.item('Aino', 'Elsewhere', { list: w.list('Aino', 'Secret') });
  const view = { personId: w.person('Eetu'), now: w.now, house: { zone: 'Europe/Helsinki', dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } } };
  const found = candidatesOf(view, w.rows, (item) => item.listId === list || item.makerId === w.person('Eetu'));
  expect(found.map(({ item, minutes, isGuess }) => [item.title, minutes, isGuess])).toEqual([
    ['Nobody’s', 10, true],
    ['Mine', 10, true],
  ]);
});

test('at a place what presses most stands first: late, soon due, the nearer deadline, the more important, then by title', () => {
  const dated = (one: Candidate, due: string): Candidate => ({ ...one, item: { ...one.item, due } });
  const all = [
    candidate('Buns', 5),
    candidate('Apples', 5),
    candidate('Candles', 5, { importance: 2 }),
    dated(candidate('Fuel', 5), '2026-11-30'),
    dated(candidate('Soap', 5), '2026-11-27'),
    dated(candidate('Milk', 5, { soon: true }), '2026-11-24T18:00'),
    dated(candidate('Salt', 5, { late: true }), '2026-11-20'),
  ];
  expect(names([...all].sort(pressingFirst))).toEqual(['Salt', 'Milk', 'Soap', 'Fuel', 'Candles', 'Apples', 'Buns']);
});

test('tomorrow’s of a chore that was checked off today is no candidate, and not offered as the next best', () => {
  const w = new World();
  w.must('Aino', 'chore.make', { title: 'Water', rrule: 'FREQ=DAILY', dtstart: '2026-11-24', persons: [w.person('Aino')] });
  const house = { zone: 'Europe/Helsinki', dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } };
  const view = { personId: w.person('Aino'), now: w.now, house };
  const titles = () => candidatesOf(view, w.rows, () => true).map(({ item }) => `${item.title} ${item.due}`);
  expect(titles()).toEqual(['Water 2026-11-24']);
  w.must('Aino', 'part.checkOff', { item: w.rows.all('item')[0]!.id, person: w.person('Aino') });
  expect(w.rows.all('item').map(({ due }) => due)).toEqual(['2026-11-24', '2026-11-25']);
  expect(titles()).toEqual([]);
  expect(cappedDay(agendaOf(view, w.rows), 1, '2026-11-24').next).toBeNull();
});
