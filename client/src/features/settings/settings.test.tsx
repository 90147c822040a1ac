import { fireEvent, screen, within } from '@testing-library/react';
import type { Person } from '@kotiva/core';
import { answering } from '@/testing/answers.ts';
import { boathouse } from '@/testing/boathouse.ts';
import { alerts, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { AwayForm } from './away-form.tsx';
import { DayPartsForm } from './day-parts.tsx';
import { DaysOff } from './days-off.tsx';
import { EndSheet } from './end-sheet.tsx';
import { went } from '@/testing/router.ts';
import { Labels } from './labels.tsx';
import { PersonSheet } from './person-sheet.tsx';
import { RestForm } from './rest-form.tsx';
import { WeekHours } from './week-hours.tsx';
import { t } from '@/words';

function house() {
  const { w, list } = boathouse();
  return { w, list, who: (name: string) => w.rows.find('person', w.person(name)) as Person };
}
const closed = jest.fn();
beforeEach(() => closed.mockClear());

test('hours of the week are numbers; the day that is none says so, and nothing is kept', () => {
  const { w, who } = house();
  inHouse(w, 'Aino', <WeekHours person={who('Leila')} />);
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) type(day, '2');
  type('Wed', 'all day');
  tap(t('common.save'));
  expect(alerts()).toHaveLength(1);
  expect(w.rows.all('capacity').filter(({ personId }) => personId === w.person('Leila'))).toEqual([]);
  type('Wed', '1,5');
  tap(t('common.save'));
  expect(alerts()).toEqual([]);
  expect(w.rows.all('capacity').find(({ personId }) => personId === w.person('Leila'))!.minutes).toEqual([120, 120, 90, 120, 120, 120, 120]);
});

test('the parts of a house’s day come one after the other; what doesn’t is said beside it and nothing is kept', () => {
  const { w } = house();
  inHouse(w, 'Aino', <DayPartsForm />);
  const from = (part: 'morning' | 'day' | 'evening') => t('dayParts.from', { part: t(`dayPart.${part}`) });
  const kept = () => w.rows.find('house', w.houseId)!.dayParts;
  const before = kept();
  type(from('day'), '19:00');
  tap(t('common.save'));
  expect(alerts()).toEqual([t('dayParts.order')]);
  expect(kept()).toEqual(before);
  type(from('day'), '12:00');
  tap(t('common.save'));
  expect(alerts()).toEqual([]);
  expect(kept()).toEqual({ ...before, day: '12:00' });
});

test('somebody can’t be left in peace on every day of the week', () => {
  const { w, who } = house();
  inHouse(w, 'Leila', <RestForm person={who('Leila')} />);
  const days = within(screen.getByRole('group', { name: t('rest.daysOff') }));
  for (const day of days.getAllByRole('checkbox')) if (day.getAttribute('aria-checked') !== 'true') fireEvent.click(day);
  tap(t('common.save'));
  expect(alerts()).toEqual(['Keep at least one day when you can be reached.']);
  fireEvent.click(days.getByRole('checkbox', { name: 'Tue' }));
  tap(t('common.save'));
  expect(who('Leila').rest.daysOff.toSorted()).toEqual([1, 3, 4, 5, 6, 7]);
});

test('days away need a first day, and end no earlier than they begin', () => {
  const { w, who } = house();
  inHouse(w, 'Tapio', <AwayForm person={who('Tapio')} />);
  const aways = () => w.rows.all('timeAway').filter(({ removedAt }) => removedAt === null);
  tap(t('mail.add'));
  expect(alerts()).toEqual(['Choose the first day.']);
  type(t('away.from'), '2026-12-10');
  type(t('rule.lastDayOf'), '2026-12-08');
  tap(t('mail.add'));
  expect(alerts()).toHaveLength(1);
  expect(screen.getByLabelText<HTMLInputElement>(t('rule.lastDayOf')).value).toBe('2026-12-08');
  expect(aways()).toEqual([]);
  type(t('rule.lastDayOf'), '2026-12-12');
  tap(t('mail.add'));
  expect(aways()).toMatchObject([{ from: '2026-12-10', to: '2026-12-12' }]);
  tap(/^Remove: /);
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
  const kept = () => w.rows.find('house', w.houseId) as { region: string | null; daysOff: unknown[] };
  type(t('daysOff.find'), 'atlantis');
  expect(await screen.findByText(t('daysOff.none'))).toBeTruthy();
  type(t('daysOff.find'), 'fin');
  fireEvent.click(await screen.findByRole('button', { name: 'Finland' }));
  expect(kept().region).toBe('FI');
  tap(t('daysOff.add'));
  expect(alerts()).toEqual(['Choose the day.']);
  type(t('daysOff.day'), '2026-12-23');
  type(t('account.name'), 'Baking day');
  tap(t('daysOff.add'));
  expect(kept().daysOff).toEqual([{ date: '2026-12-23', name: 'Baking day' }]);
});

test('a new name to hand things to; one whose mark is taken, or whose address is none, stays typed', () => {
  const { w } = house();
  inHouse(w, 'Aino', <PersonSheet personId={null} onClose={closed} onEnd={() => undefined} />);
  type(t('account.name'), 'Engine workshop');
  type(t('person.mark'), 'Lei');
  tap(t('mail.add'));
  expect(alerts()).toHaveLength(1);
  expect(closed).not.toHaveBeenCalled();
  type(t('person.mark'), 'Ew');
  type(t('contact.email'), 'not an address');
  tap(t('mail.add'));
  expect(alerts()).toHaveLength(1);
  expect(screen.getByLabelText<HTMLInputElement>(t('account.name')).value).toBe('Engine workshop');
  type(t('contact.email'), 'boats@workshop.example');
  tap(t('mail.add'));
  expect(closed).toHaveBeenCalled();
  expect(w.rows.all('person').find(({ name }) => name === 'Engine workshop')).toMatchObject({ role: 'outside', email: 'boats@workshop.example' });
});

test('the last manager can’t make a member of themselves', () => {
  const { w, who } = house();
  inHouse(w, 'Aino', <PersonSheet personId={w.person('Aino')} onClose={closed} onEnd={() => undefined} />);
  tap(t('role.member'), 'radio');
  tap(t('common.save'));
  expect(alerts()).toHaveLength(1);
  expect(who('Aino').role).toBe('manager');
});

test('ending access asks who takes each open thing; what is done stays with its name', () => {
  const { w, list, who } = house();
  const [oars, rope] = ['Oars', 'Rope'].map((title) => w.item('Aino', title, { list, persons: [w.person('Leila')] }));
  const done = w.item('Aino', 'Jackets', { list, persons: [w.person('Leila')] });
  w.must('Leila', 'part.checkOff', { item: done, person: w.person('Leila') });
  inHouse(w, 'Aino', <EndSheet personId={w.person('Leila')} onClose={closed} />);
  expect(screen.getByText('Leila still has 2 open items. Who takes each one over?')).toBeTruthy();
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Who takes over “Oars”' })).getByRole('radio', { name: 'Tapio' }));
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Who takes over “Rope”' })).getByRole('radio', { name: t('end.nobody') }));
  tap(t('end.end'));
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
  // the tag leads to everything that carries it; it is changed beside that
  expect(went.at(-1)).toMatch(/^\/whole\?narrow=/);
  tap(t('tags.editNamed', { name: 'boat' }));
  fireEvent.click(within(screen.getByRole('radiogroup', { name: t('tags.mergeInto') })).getByRole('radio', { name: '#boats' }));
  tap(t('tags.merge'));
  const boats = w.rows.all('tag').filter(({ removedAt }) => !removedAt);
  expect(boats.map(({ name }) => name)).toEqual(['boats']);
  expect([oars, rope].map((id) => w.row(id).tagIds)).toEqual([[boats[0]!.id], [boats[0]!.id]]);
});

test('what things need is a manager’s to name; a name that is there already is not taken', () => {
  const { w } = house();
  w.must('Aino', 'situation.make', { name: 'first frost', kind: 'event' });
  const helper = inHouse(w, 'Leila', <Labels />);
  tap('Conditions, 1');
  expect(screen.queryByRole('button', { name: 'Rename first frost' })).toBeNull();
  helper.unmount();
  inHouse(w, 'Aino', <Labels />);
  tap('Conditions, 1');
  tap(t('situations.makeOne'));
  type(t('situations.name'), 'First Frost');
  tap(t('common.save'));
  expect(alerts()).toHaveLength(1);
  expect(w.rows.all('situation')).toHaveLength(1);
});
