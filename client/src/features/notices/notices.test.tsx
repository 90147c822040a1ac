import { fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry, went } from '@/testing/router.ts';
import { NoticesButton } from './notices.tsx';
import { t } from '@/words';

/** A Tuesday, noon: Aino handed Leila two things, and Leila has a question about one. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Boathouse', [['Leila', 'check']]);
  const [oars, rope] = ['Oars', 'Rope'].map((title) => w.item('Aino', title, { list }));
  for (const item of [oars!, rope!]) w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila')], message: 'Before the ice' });
  return { w, list, oars: oars!, rope: rope! };
}
const open = (w: World, who: string) => {
  const shown = inHouse(w, who, <NoticesButton />);
  tap(/^Notifications, /);
  return shown;
};
afterEach(() => carry({}));

test('what is new is counted; taken where it stands, or put away all at once', () => {
  const { w, oars, rope } = house();
  open(w, 'Leila');
  expect(screen.getAllByText(/Before the ice/)).toHaveLength(2);
  fireEvent.click(screen.getAllByRole('button', { name: t('answer.take') })[0]!);
  expect([oars, rope].map((id) => w.part(id, 'Leila').standing).toSorted()).toEqual(['accepted', 'needs-action']);
  expect(screen.getAllByRole('button', { name: t('answer.take') })).toHaveLength(1);
  tap(t('notices.readAll'));
  expect(screen.queryByText(t('notices.new'))).toBeNull();
  expect(w.rows.by('notice', 'personId', w.person('Leila')).every(({ readAt }) => readAt !== null)).toBe(true);
});

test('of more than are shown at first all are put away, and the older ones can be reached', () => {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Boathouse', [['Leila', 'check']]);
  const many = Array.from({ length: 70 }, (_, nth) => ({ title: `Oar ${nth}`, persons: [w.person('Leila')] }));
  w.must('Aino', 'item.addMany', { list, items: many });
  const shown = open(w, 'Leila');
  expect(screen.getAllByText(/Oar \d/)).toHaveLength(60);
  tap(t('notices.readAll'));
  expect(w.rows.by('notice', 'personId', w.person('Leila')).every(({ readAt }) => readAt !== null)).toBe(true);
  tap('Show 10 older ones');
  expect(screen.getAllByText(/Oar \d/)).toHaveLength(70);
  shown.unmount();
  inHouse(w, 'Leila', <NoticesButton />);
  expect(screen.getByRole('button', { name: 'Notifications, 0 new' })).toBeTruthy();
});

test('a question is answered there; an empty answer can’t be sent', () => {
  const { w, oars } = house();
  w.must('Leila', 'part.askBack', { item: oars, question: 'The short ones too?' });
  open(w, 'Aino');
  expect(screen.getByText(/The short ones too\?/)).toBeTruthy();
  tap(t('item.say'));
  expect(w.rows.by('comment', 'itemId', oars).map(({ text }) => text)).toEqual(['The short ones too?']);
  fireEvent.change(screen.getByRole('textbox', { name: t('answer.answer') }), { target: { value: 'Only the long ones' } });
  tap(t('item.say'));
  expect(w.rows.by('comment', 'itemId', oars).map(({ text }) => text)).toContain('Only the long ones');
  expect(screen.queryByText(t('notices.new'))).toBeNull();
});

test('a reminder is put off to a later hour, or to a place', () => {
  const { w, list } = house();
  w.must('Aino', 'place.make', { name: 'Quay', position: { lat: 62.3, lon: 27.1 } });
  const lamp = w.item('Aino', 'Light the lamp', { list });
  w.must('Aino', 'alarm.set', { item: lamp, person: w.person('Aino'), trigger: { kind: 'absolute', at: '2026-11-24T12:30' } });
  const [alarm] = w.rows.by('alarm', 'itemId', lamp);
  w.now = '2026-11-24T10:30:00.000Z';
  w.system('alarm.ring', { alarm: alarm!.id, at: w.now });
  const shown = open(w, 'Aino');
  tap(t('alarm.snooze'));
  tap(t('alarm.snooze.hour'));
  shown.unmount();
  const kept = () => w.rows.by('alarm', 'itemId', lamp).filter(({ removedAt }) => removedAt === null);
  expect(kept()).toMatchObject([{ snoozedUntil: '2026-11-24T11:30:00.000Z' }]);
  w.now = '2026-11-24T11:30:00.000Z';
  w.system('alarm.ring', { alarm: alarm!.id, at: w.now });
  open(w, 'Aino');
  tap(t('alarm.snooze'));
  tap(t('alarm.snooze.place'));
  tap('When I get to Quay');
  expect(kept().some(({ trigger }) => trigger.kind === 'place')).toBe(true);
});

test('a reminder done checks its item off', () => {
  const { w, list } = house();
  const lamp = w.item('Aino', 'Light the lamp', { list });
  w.must('Aino', 'alarm.set', { item: lamp, person: w.person('Aino'), trigger: { kind: 'absolute', at: '2026-11-24T12:30' } });
  w.now = '2026-11-24T10:30:00.000Z';
  w.system('alarm.ring', { alarm: w.rows.by('alarm', 'itemId', lamp)[0]!.id, at: w.now });
  open(w, 'Aino');
  tap(t('common.done'));
  expect(w.part(lamp, null).standing).toBe('completed');
  expect(screen.queryByText(t('notices.new'))).toBeNull();
});

test('opening one reads it and opens its item', () => {
  const { w, rope } = house();
  open(w, 'Leila');
  fireEvent.click(screen.getAllByRole('button', { name: /Rope/ })[0]!);
  expect(went.at(-1)).toMatchObject({ item: rope });
  expect(w.rows.by('notice', 'personId', w.person('Leila')).find(({ itemId }) => itemId === rope)!.readAt).not.toBeNull();
});

test('what one does not want under the bell is not there, nor counted', () => {
  const { w, rope } = house();
  w.must('Leila', 'part.askBack', { item: rope, question: 'Which rope?' });
  w.must('Aino', 'comment.say', { item: rope, text: 'The red one' });
  w.must('Leila', 'notice.choose', { bell: ['answers'] });
  inHouse(w, 'Leila', <NoticesButton />);
  expect(screen.getByRole('button', { name: 'Notifications, 1 new' })).toBeTruthy();
  tap(/^Notifications, /);
  expect(screen.getByText('Aino replied about “Rope”')).toBeTruthy();
  expect(screen.queryByText('Aino handed you “Oars”')).toBeNull();
});

test('a permission to notify that was withdrawn is said under the bell', () => {
  localStorage.setItem('kotiva/push-here', 'yes');
  const browser = globalThis as { Notification?: unknown };
  browser.Notification = { permission: 'denied' };
  const { w } = house();
  open(w, 'Leila');
  expect(screen.getByText(/no longer allows notifications/)).toBeTruthy();
  localStorage.clear();
  delete browser.Notification;
});
