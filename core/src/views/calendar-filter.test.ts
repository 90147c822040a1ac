import type { Filter, FilterCondition } from '../model/filter.ts';
import { calendarOf, titleOfEntry } from '../planning/calendar.ts';
import { World } from '../testing/world.ts';
import { entriesMeeting } from './calendar-filter.ts';

/** Tuesday 24 November. The plants are watered every Friday, Leila and Tapio in turns. */
function december() {
  const w = new World();
  for (const name of ['Leila', 'Tapio']) w.join(name);
  const list = w.list('Aino', 'Guesthouse', [
    ['Leila', 'edit'],
    ['Tapio', 'edit'],
  ]);
  const persons = [w.person('Leila'), w.person('Tapio')];
  w.must('Aino', 'chore.make', {
    title: 'Water the plants',
    list,
    rrule: 'FREQ=WEEKLY;BYDAY=FR',
    dtstart: '2026-11-27',
    turn: 'turns',
    persons,
    tags: ['green'],
  });
  w.item('Aino', 'Chimney sweep', { list, due: '2026-12-01T09:00' });
  const lamp = w.item('Aino', 'Lamp', { tags: ['green'] });
  w.must('Aino', 'slot.book', { items: [lamp], start: '2026-12-02T10:00', minutes: 30 });
  const house = w.rows.all('house')[0]!;
  const days = calendarOf({ meId: w.person('Aino'), from: '2026-12-01', to: '2026-12-12', personId: null, now: w.now, house }, w.rows);
  const shown = (conditions: FilterCondition[]) => {
    const filter: Filter = { match: 'all', state: 'both', conditions };
    const meets = entriesMeeting(filter, { personId: w.person('Aino'), now: w.now, house }, w.rows);
    return [...days].sort().flatMap(([date, entries]) => entries.filter(meets).map((entry) => `${date.slice(8)} ${titleOfEntry(entry)}`)); // prettier-ignore
  };
  return { w, list, shown };
}

test('items, booked time and chores still to come are narrowed alike', () => {
  const { w, list, shown } = december();
  const green = w.rows.all('tag').find(({ name }) => name === 'green')!.id;
  expect(shown([{ of: 'tag', ids: [green], not: false }])).toEqual(['02 Lamp', '04 Water the plants', '11 Water the plants']);
  expect(shown([{ of: 'list', ids: [list], not: false }])).toEqual(['01 Chimney sweep', '04 Water the plants', '11 Water the plants']);
});

test('of a chore still to come it counts whose turn it will be, from whom, and the day it will be due', () => {
  const { w, shown } = december();
  const [leila, tapio] = [w.person('Leila'), w.person('Tapio')];
  const [hers, his] = [leila, tapio].map((who) => shown([{ of: 'person', who: [who!], not: false }]));
  expect([...hers!, ...his!].sort()).toEqual(['04 Water the plants', '11 Water the plants']);
  expect(hers).toHaveLength(1);
  expect(shown([{ of: 'giver', who: ['me'], not: false }])).toEqual(['04 Water the plants', '11 Water the plants']);
  expect(shown([{ of: 'date', field: 'due', span: { kind: 'between', from: '2026-12-03', to: '2026-12-05' }, not: false }])).toEqual(['04 Water the plants']);
});
