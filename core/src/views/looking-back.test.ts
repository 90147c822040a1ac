import fc from 'fast-check';
import { World } from '../testing/world.ts';
import { deedsBy, lookBack, spanOfDays, sumOf } from './looking-back.ts';

const ZONE = { zone: 'Europe/Helsinki' };

/** A Monday morning in November. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Petri');
  const list = w.list('Aino', 'Rooms', [
    ['Leila', 'check'],
    ['Petri', 'edit'],
  ]);
  const give = (title: string, persons: string[], more: object = {}) =>
    w.item('Aino', title, { list, persons: persons.map((name) => w.person(name)), ...more } as never);
  const check = (who: string, item: string, at: string, own = true) => {
    w.now = at;
    w.must(who, 'part.checkOff', { item, person: own ? w.person(who) : null }, { at });
  };
  return { w, list, give, check };
}
const titles = (w: World, from: string, to: string) => lookBack({ from, to }, ZONE, w.rows).map(({ item }) => item.title);

test('by the house’s day of the tap: what was done just outside the week is not in it', () => {
  const { w, give, check } = house();
  const [before, first, last, after] = ['Before', 'First', 'Last', 'After'].map((title) => give(title, ['Leila']));
  check('Leila', before!, '2026-11-29T21:59:00.000Z');
  check('Leila', first!, '2026-11-29T22:00:00.000Z');
  check('Leila', last!, '2026-12-06T21:59:00.000Z');
  check('Leila', after!, '2026-12-06T22:00:00.000Z');
  expect(titles(w, '2026-11-30', '2026-12-06')).toEqual(['Last', 'First']);
});

test('punctuality: of those with a deadline; an hour is kept to the minute, a day to its end; whose late how late', () => {
  const { w, give, check } = house();
  const done = [
    ['By the hour', '2026-12-01T17:00', '2026-12-01T15:00:00.000Z', true, 0],
    ['A minute late', '2026-12-01T17:00', '2026-12-01T15:01:00.000Z', false, 0],
    ['By the day', '2026-12-01', '2026-12-01T21:59:00.000Z', true, 0],
    ['Two days late', '2026-12-01', '2026-12-03T08:00:00.000Z', false, 2],
    ['No deadline', undefined, '2026-12-02T08:00:00.000Z', null, 0],
  ] as const;
  const items = done.map(([title, due]) => give(title, ['Leila'], { due }));
  done.forEach(([, , at], nth) => check('Leila', items[nth]!, at));
  const deeds = lookBack({ from: '2026-12-01', to: '2026-12-07' }, ZONE, w.rows);
  for (const [title, , , isOnTime, daysLate] of done) expect(deeds.find(({ item }) => item.title === title)).toMatchObject({ isOnTime, daysLate });
  expect(sumOf(deeds)).toMatchObject({ count: 5, dated: 4, onTime: 2 });
});

test('of any the first, of each everyone; a step only with somebody’s own part; nobody’s is whoever tapped it', () => {
  const { w, give, check, list } = house();
  const any = give('Any', ['Leila', 'Petri'], { policy: 'any' });
  const each = give('Each', ['Leila', 'Petri'], { policy: 'each' });
  const nobodys = w.item('Aino', 'Nobody’s', { list });
  const step = w.item('Aino', 'Step', { parent: nobodys });
  check('Leila', any, '2026-12-01T08:00:00.000Z');
  check('Leila', each, '2026-12-01T09:00:00.000Z');
  check('Petri', each, '2026-12-01T10:00:00.000Z');
  check('Leila', step, '2026-12-01T10:30:00.000Z', false);
  check('Leila', nobodys, '2026-12-01T11:00:00.000Z', false);
  const deeds = lookBack({ from: '2026-12-01', to: '2026-12-01' }, ZONE, w.rows);
  expect(deeds.map(({ item, personId }) => [item.title, personId])).toEqual([
    ['Nobody’s', w.person('Leila')],
    ['Each', w.person('Petri')],
    ['Each', w.person('Leila')],
    ['Any', w.person('Leila')],
  ]);
  expect(deedsBy(deeds, 'person').map(({ key, deeds: some }) => [key, some.length])).toEqual([
    [w.person('Leila'), 3],
    [w.person('Petri'), 1],
  ]);
});

test('what was unchecked or removed since is not there', () => {
  const { w, give, check } = house();
  const [kept, unchecked, removed] = ['Kept', 'Unchecked', 'Removed'].map((title) => give(title, ['Leila']));
  for (const item of [kept, unchecked, removed]) check('Leila', item!, '2026-12-01T08:00:00.000Z');
  w.must('Leila', 'part.uncheck', { item: unchecked!, person: w.person('Leila') });
  w.must('Aino', 'item.remove', { items: [removed!] });
  expect(titles(w, '2026-12-01', '2026-12-01')).toEqual(['Kept']);
});

test('a span the wrong way round is turned, and one that is too long begins later', () => {
  expect(spanOfDays('2026-12-07', '2026-12-01')).toEqual({ from: '2026-12-01', to: '2026-12-07', wasTurned: true });
  expect(spanOfDays('2026-12-01', '2026-12-01')).toMatchObject({ from: '2026-12-01', wasTurned: false });
  expect(spanOfDays('1990-01-01', '2026-12-01').from > '2016-01-01').toBe(true);
});

test('whatever the days, in spring and autumn too: each done thing is in exactly one day, and the parts add up to the whole', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ minute: fc.nat(60 * 24 * 400), effort: fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined }) }), {
        minLength: 1,
        maxLength: 12,
      }),
      (all) => {
        const { w, give, check } = house();
        const sorted = [...all].sort((a, b) => a.minute - b.minute);
        const items = sorted.map(({ effort }, nth) => give(`Thing ${nth}`, ['Leila'], { effort, due: nth % 2 ? '2027-03-28' : undefined }));
        sorted.forEach(({ minute }, nth) => check('Leila', items[nth]!, new Date(Date.parse('2026-12-01T00:00:00Z') + minute * 60_000).toISOString()));
        const whole = lookBack({ from: '2026-11-01', to: '2028-02-01' }, ZONE, w.rows);
        expect(whole).toHaveLength(all.length);
        for (const grouping of ['day', 'person', 'list'] as const) {
          const groups = deedsBy(whole, grouping);
          const sums = groups.map(({ deeds }) => sumOf(deeds));
          expect(sums.reduce((sum, { count }) => sum + count, 0)).toBe(all.length);
          expect(sums.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(sumOf(whole).minutes);
          if (grouping === 'day') for (const { key, deeds } of groups) expect(lookBack({ from: key!, to: key! }, ZONE, w.rows)).toHaveLength(deeds.length);
        }
      },
    ),
    { numRuns: 40 },
  );
});
