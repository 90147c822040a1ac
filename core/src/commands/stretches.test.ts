import { World } from '../testing/world.ts';
import { doneInStretch, stretchEnds, stretchesAhead, stretchOf } from '../reminders/stretches.ts';

const house = () => {
  const w = new World();
  w.join('Leila');
  const begin = (who: string, minutes: number) => w.must(who, 'stretch.begin', { minutes });
  const going = (who: string) => stretchOf(w.person(who), w.now, w.rows);
  return { w, begin, going };
};
const over = (w: World) => {
  for (const { stretchId, at } of stretchesAhead(w.rows)) if (at <= w.now) w.system('stretch.over', { stretch: stretchId });
};

test('one goes on for so many minutes, of whoever began it alone; then it is said with how much was done', () => {
  const { w, begin, going } = house();
  const [rope, boat, jetty] = ['Rope', 'Boat', 'Jetty'].map((title) => w.item('Aino', title)) as [string, string, string];
  w.must('Aino', 'part.checkOff', { item: rope, person: null });
  w.later(1);
  begin('Aino', 25);
  expect(going('Aino')).toMatchObject({ minutes: 25 });
  expect(going('Leila')).toBeNull();
  w.later(10);
  w.must('Aino', 'part.checkOff', { item: boat, person: null });
  over(w);
  expect(going('Aino')).not.toBeNull();
  w.later(15);
  over(w);
  expect(going('Aino')).toBeNull();
  expect(w.told('Aino')).toEqual(['stretch-over']);
  w.later(1);
  w.must('Aino', 'part.checkOff', { item: jetty, person: null });
  const [stretch] = w.rows.all('stretch');
  expect(stretch!.endedAt).toBe(stretchEnds(stretch!));
  expect(doneInStretch(stretch!, w.rows).map(({ itemId }) => itemId)).toEqual([boat]);
  expect(w.rows.by('notice', 'personId', w.person('Aino'))[0]!.params).toEqual({ minutes: 25, count: 1 });
});

test('ended before its time nothing is said; another begun ends the first', () => {
  const { w, begin, going } = house();
  begin('Aino', 25);
  w.later(5);
  begin('Aino', 50);
  expect(going('Aino')!.minutes).toBe(50);
  expect(w.rows.all('stretch').filter(({ endedAt }) => endedAt === null)).toHaveLength(1);
  w.later(5);
  w.must('Aino', 'stretch.end', {});
  expect(going('Aino')).toBeNull();
  w.later(60);
  over(w);
  expect(w.told('Aino')).toEqual([]);
  expect(w.rows.all('stretch').map(({ beganAt, endedAt }) => (Date.parse(endedAt!) - Date.parse(beganAt)) / 60_000)).toEqual([5, 5]);
});

test('where nothing ran when it was over, it ended at its time, and late is not news', () => {
  const { w, begin } = house();
  begin('Aino', 5);
  w.later(24 * 60);
  over(w);
  const [stretch] = w.rows.all('stretch');
  expect(stretch!.endedAt).toBe(stretchEnds(stretch!));
  expect(w.told('Aino')).toEqual([]);
  // ended by hand after its time it is not longer than it was
  begin('Leila', 5);
  w.later(30);
  w.must('Leila', 'stretch.end', {});
  expect(w.rows.all('stretch').every((one) => one.endedAt === stretchEnds(one))).toBe(true);
});

test.each([0, 4, 241, 1e9, 7.5, -25])('%s minutes are none', (minutes) => {
  expect(house().w.refused('Aino', 'stretch.begin', { minutes }).code).toMatch(/malformed|too-/);
});
