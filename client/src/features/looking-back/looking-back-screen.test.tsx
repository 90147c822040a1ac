import { World } from '@kotiva/core/testing/world';
import { screen } from '@testing-library/react';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';
import { LookingBackScreen } from './looking-back-screen.tsx';

/** Tuesday 24 November 2026: something was checked off today, and a year ago something this device no longer holds. */
function house() {
  const w = new World();
  const gate = w.item('Aino', 'Mend the gate');
  w.must('Aino', 'part.checkOff', { item: gate, person: null });
  const far = {
    item: { id: '0190a000-0000-7000-8000-00000000aaaa', title: 'Tar the boat', listId: null, tagIds: [] },
    part: { id: '0190a000-0000-7000-8000-00000000bbbb', completedAt: '2025-11-24T10:00:00.000Z' },
    personId: w.person('Aino'),
    day: '2025-11-24',
    minutes: 30,
    isOnTime: true,
    daysLate: 0,
  };
  carry({ span: 'own', from: '2025-11-01', to: '2026-11-24' });
  return { w, gate, far };
}
const answering = (answer: () => Promise<unknown>) => {
  const asked = jest.fn((_path: string) => answer());
  globalThis.fetch = asked as never;
  return asked;
};
afterEach(() => carry({}));

function open(w: World, gate: string) {
  const { letGo } = inHouse(w, 'Aino', <LookingBackScreen />);
  // as on a device that lets go of what is old
  letGo(w.item('Aino', 'Something let go of'), []);
  return gate;
}

test('a year back: what this device holds as it stands, the days before as the server tells them', async () => {
  const { w, gate, far } = house();
  const asked = answering(async () => ({ ok: true, status: 200, json: async () => ({ deeds: [far], more: false }) }));
  open(w, gate);
  expect(await screen.findByText(t('back.done', { count: 2 }))).toBeTruthy();
  const { searchParams } = new URL(asked.mock.calls.at(-1)![0], 'http://kotiva.test');
  // not a day is counted twice: the server is asked up to the day before those that are held whole
  expect([searchParams.get('from'), searchParams.get('to')]).toEqual(['2025-11-01', '2026-08-26']);
});

test('more than is told at once is said', async () => {
  const { w, gate, far } = house();
  answering(async () => ({ ok: true, status: 200, json: async () => ({ deeds: [far], more: true }) }));
  open(w, gate);
  expect(await screen.findByText(t('back.someMissing'))).toBeTruthy();
});

test('without a connection that is said, with what is here', async () => {
  const { w, gate } = house();
  answering(() => Promise.reject(new Error('no line')));
  open(w, gate);
  expect(await screen.findByText(t('beyond.noLine'))).toBeTruthy();
  expect(screen.getByText(t('back.done', { count: 1 }))).toBeTruthy();
});
