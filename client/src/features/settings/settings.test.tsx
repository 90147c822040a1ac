import { fireEvent, screen, within } from '@testing-library/react';
import type { Person } from '@kotiva/core';
import { answering } from '@/testing/answers.ts';
import { boathouse } from '@/testing/boathouse.ts';
import { alerts, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { AwayForm } from './away-form.tsx';
import { DaysOff } from './days-off.tsx';
import { EndSheet } from './end-sheet.tsx';
import { Labels } from './labels.tsx';
import { PersonSheet } from './person-sheet.tsx';
import { RestForm } from './rest-form.tsx';
import { WeekHours } from './week-hours.tsx';

function house() {
  const { w, list } = boathouse();
  return { w, list, who: (name: string) => w.rows.get('person', w.person(name)) as Person };
}
const closed = jest.fn();
beforeEach(() => closed.mockClear());

test('hours of the week are numbers; the day that is none says so, and nothing is kept', () => {
  const { w, who } = house();
  inHouse(w, 'Aino', <WeekHours person={who('Leila')} />);
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) type(day, '2');
  type('Wed', 'all day');
  tap('Save');
  expect(alerts()).toHaveLength(1);
  expect(w.rows.all('capacity').filter(({ personId }) => personId === w.person('Leila'))).toEqual([]);
  type('Wed', '1,5');
  tap('Save');
  expect(alerts()).toEqual([]);
  expect(w.rows.all('capacity').find(({ personId }) => personId === w.person('Leila'))!.minutes).toEqual([120, 120, 90, 120, 120, 120, 120]);
});

test('somebody can’t be left in peace on every day of the week', () => {
  const { w, who } = house();
  inHouse(w, 'Leila', <RestForm person={who('Leila')} />);
  const days = within(screen.getByRole('group', { name: 'Days off' }));
  for (const day of days.getAllByRole('checkbox')) if (day.getAttribute('aria-checked') !== 'true') fireEvent.click(day);
  tap('Save');
  expect(alerts()).toEqual(['Leave at least one day on which you can be reached.']);
  fireEvent.click(days.getByRole('checkbox', { name: 'Tue' }));
  tap('Save');
  expect(who('Leila').rest.daysOff.toSorted()).toEqual([1, 3, 4, 5, 6, 7]);
});

test('days away need a first day, and end no earlier than they begin', () => {
  const { w, who } = house();
  inHouse(w, 'Tapio', <AwayForm person={who('Tapio')} />);
  const aways = () => w.rows.all('timeAway').filter(({ removedAt }) => removedAt === null);
  tap('Add');
  expect(alerts()).toEqual(['Choose the first day.']);
  type('First day', '2026-12-10');
  type('Last day', '2026-12-08');
  tap('Add');
  expect(alerts()).toHaveLength(1);
  expect(screen.getByLabelText<HTMLInputElement>('Last day').value).toBe('2026-12-08');
  expect(aways()).toEqual([]);
  type('Last day', '2026-12-12');
  tap('Add');
  expect(aways()).toMatchObject([{ from: '2026-12-10', to: '2026-12-12' }]);
  tap(/^Take away: /);
  expect(aways()).toEqual([]);
});

test('holidays of a region are found by its name; the house has days off of its own', async () => {
  answering({
    body: {
      regions: [
        { region: 'FI', name: 'Finland' },
        { region: 'SE', name: 'Sweden' },
      ],
    },
  });
  const { w } = house();
  inHouse(w, 'Aino', <DaysOff />);
  const kept = () => w.rows.get('house', w.houseId) as { region: string | null; daysOff: unknown[] };
  type('Country, or part of one', 'atlantis');
  expect(await screen.findByText('There is none of this name. Try the English name of the country.')).toBeTruthy();
  type('Country, or part of one', 'fin');
  fireEvent.click(await screen.findByRole('button', { name: 'Finland' }));
  expect(kept().region).toBe('FI');
  tap('Add the day off');
  expect(alerts()).toEqual(['Choose the day.']);
  type('Day', '2026-12-23');
  type('What it is called', 'Baking day');
  tap('Add the day off');
  expect(kept().daysOff).toEqual([{ date: '2026-12-23', name: 'Baking day' }]);
});

test('a new name to hand things to; one whose mark is taken, or whose address is none, stays typed', () => {
  const { w } = house();
  inHouse(w, 'Aino', <PersonSheet personId={null} onClose={closed} onEnd={() => undefined} />);
  type('Name', 'Engine workshop');
  type('Short mark', 'Lei');
  tap('Add');
  expect(alerts()).toHaveLength(1);
  expect(closed).not.toHaveBeenCalled();
  type('Short mark', 'Ew');
  type('Mail address', 'not an address');
  tap('Add');
  expect(alerts()).toHaveLength(1);
  expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Engine workshop');
  type('Mail address', 'boats@workshop.example');
  tap('Add');
  expect(closed).toHaveBeenCalled();
  expect(w.rows.all('person').find(({ name }) => name === 'Engine workshop')).toMatchObject({ role: 'outside', email: 'boats@workshop.example' });
});

test('the last manager can’t make a member of themselves', () => {
  const { w, who } = house();
  inHouse(w, 'Aino', <PersonSheet personId={w.person('Aino')} onClose={closed} onEnd={() => undefined} />);
  tap('member', 'radio');
  tap('Save');
  expect(alerts()).toHaveLength(1);
  expect(who('Aino').role).toBe('manager');
});

test('ending access asks who takes each open thing; what is done stays with its name', () => {
  const { w, list, who } = house();
  const [oars, rope] = ['Oars', 'Rope'].map((title) => w.item('Aino', title, { list, persons: [w.person('Leila')] }));
  const done = w.item('Aino', 'Jackets', { list, persons: [w.person('Leila')] });
  w.must('Leila', 'part.checkOff', { item: done, person: w.person('Leila') });
  inHouse(w, 'Aino', <EndSheet personId={w.person('Leila')} onClose={closed} />);
  expect(screen.getByText('Leila still has 2 things in hand. Who takes each?')).toBeTruthy();
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Who takes “Oars”' })).getByRole('radio', { name: 'Tapio' }));
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Who takes “Rope”' })).getByRole('radio', { name: 'Nobody' }));
  tap('End access');
  expect(who('Leila').endedAt).not.toBeNull();
  expect(w.part(oars!, 'Tapio').standing).toBe('needs-action');
  expect(w.part(rope!, 'Leila').takenBackAt ?? w.part(rope!, 'Leila').passedTo).not.toBeNull();
  expect(w.part(done, 'Leila').standing).toBe('completed');
});

test('a tag merged into another keeps what it lay on; removed, it says from how much', () => {
  const { w, list } = house();
  const oars = w.item('Aino', 'Oars', { list, tags: ['boat'] });
  const rope = w.item('Aino', 'Rope', { list, tags: ['boats'] });
  inHouse(w, 'Aino', <Labels />);
  tap('Tags, 2');
  tap(/^#boat(?!s)/);
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Is the same as' })).getByRole('radio', { name: '#boats' }));
  tap('Make them one');
  const boats = w.rows.all('tag').filter(({ removedAt }) => !removedAt);
  expect(boats.map(({ name }) => name)).toEqual(['boats']);
  expect([oars, rope].map((id) => w.row(id).tagIds)).toEqual([[boats[0]!.id], [boats[0]!.id]]);
});

test('what things need is a manager’s to name; a name that is there already is not taken', () => {
  const { w } = house();
  w.must('Aino', 'situation.make', { name: 'first frost', kind: 'event' });
  const helper = inHouse(w, 'Leila', <Labels />);
  tap('What things need, 1');
  expect(screen.queryByRole('button', { name: 'Rename first frost' })).toBeNull();
  helper.unmount();
  inHouse(w, 'Aino', <Labels />);
  tap('What things need, 1');
  tap('Make another');
  type('Its name', 'First Frost');
  tap('Save');
  expect(alerts()).toHaveLength(1);
  expect(w.rows.all('situation')).toHaveLength(1);
});
