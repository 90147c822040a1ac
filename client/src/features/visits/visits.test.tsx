import { act, screen } from '@testing-library/react';
import { onArriving } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { Pressable } from 'react-native';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { LookingChoice } from './looking.tsx';
import { usePlaceRings } from './rings.ts';
import { useSayHere, VisitsProvider } from './visits.tsx';
import { t } from '@/words';

const NOON = Date.parse('2026-11-24T10:00:00.000Z');
/** A metre north, in degrees. */
const METRE = 1 / 111_195;
const WORKSHOP = { lat: 62.3, lon: 27.1 };

/** A device whose position the test says: what asked for it is answered. */
let took: PositionCallback = () => undefined;
let failed: PositionErrorCallback = () => undefined;
beforeEach(() => {
  jest.useFakeTimers({ now: NOON });
  localStorage.clear();
  const geolocation = {
    watchPosition: (onFix: PositionCallback, onFault: PositionErrorCallback) => {
      [took, failed] = [onFix, onFault];
      return 1;
    },
    clearWatch: () => undefined,
  };
  Object.defineProperty(navigator, 'geolocation', { value: geolocation, configurable: true });
});
afterEach(() => jest.useRealTimers());

/** Tapio is to collect the outboard at the workshop, and is reminded there. */
function house() {
  const w = new World();
  w.join('Tapio');
  w.must('Aino', 'place.make', { name: 'Workshop', position: WORKSHOP, radius: 100 });
  w.must('Aino', 'place.make', { name: 'Shop', position: { lat: 62.35, lon: 27.1 }, radius: 100 });
  const place = (name: string) => w.rows.all('place').find((one) => one.name === name)!.id;
  const list = w.list('Aino', 'Boathouse', [['Tapio', 'check']]);
  const outboard = w.item('Aino', 'Collect the outboard', { list, place: place('Workshop'), persons: [w.person('Tapio')] });
  w.must('Aino', 'alarm.set', { item: outboard, person: w.person('Tapio'), trigger: onArriving(place('Workshop'), 'enter') });
  return { w, place, outboard };
}

function Hand({ to, words }: { to: string | null; words: string }) {
  const { sayHere } = useSayHere();
  return <Pressable role="button" aria-label={words} onPress={() => sayHere(to)} />;
}
function Rings() {
  usePlaceRings();
  return null;
}

function open({ w, place }: ReturnType<typeof house>) {
  const shown = inHouse(
    w,
    'Tapio',
    <VisitsProvider>
      <Rings />
      <LookingChoice />
      <Hand to={place('Workshop')} words="At the workshop" />
      <Hand to={place('Shop')} words="At the shop" />
      <Hand to={null} words="Nowhere" />
    </VisitsProvider>,
  );
  /** A look, so many seconds after the last, so many metres from the workshop. */
  const look = (seconds: number, metres: number, accuracy = 15) =>
    act(async () => {
      jest.setSystemTime(Date.now() + seconds * 1_000);
      w.now = new Date().toISOString();
      took({ coords: { latitude: WORKSHOP.lat + metres * METRE, longitude: WORKSHOP.lon, accuracy } } as GeolocationPosition);
      await jest.advanceTimersByTimeAsync(0);
    });
  const there = () =>
    w.rows
      .by('visit', 'personId', w.person('Tapio'))
      .filter(({ enteredAt, leftAt }) => enteredAt !== null && (leftAt === null || leftAt < enteredAt))
      .map(({ placeId }) => placeId);
  const rung = () => w.told('Tapio').filter((kind) => kind === 'reminder').length;
  return { ...shown, look, there, rung };
}
const switchOn = () => tap(t('looking.switch'), 'checkbox');

test('two looks within it, half a minute apart, are arriving: it rings once, and again only at the next visit', async () => {
  const all = house();
  const { look, rung, there, said } = open(all);
  switchOn();
  await look(0, 2_000);
  await look(60, 20);
  expect(rung()).toBe(0);
  await look(40, 30);
  expect(there()).toEqual([all.place('Workshop')]);
  expect(rung()).toBe(1);
  expect(said()).toBe('At Workshop: “Collect the outboard”');
  await look(60, 10);
  await look(60, 3_000);
  await look(60, 3_000);
  expect(there()).toEqual([]);
  await look(60, 10);
  await look(60, 10);
  expect(rung()).toBe(2);
});

test('passing by at 400 m, and a look that is 2 km vague, are no arriving', async () => {
  const { look, rung, given } = open(house());
  switchOn();
  await look(0, 5_000);
  for (let metres = 600; metres > -600; metres -= 200) await look(35, metres === 0 ? 400 : metres < 0 ? metres - 400 : metres + 400);
  await look(60, 0, 2_000);
  await look(60, 0, 2_000);
  expect(rung()).toBe(0);
  expect(given).toEqual([]);
  expect(screen.getByText(/only knows its location to within 2000 m/)).toBeTruthy();
});

test('done before the next visit, it rings no more', async () => {
  const all = house();
  const { look, rung, meanwhile } = open(all);
  switchOn();
  await look(0, 2_000);
  await look(60, 20);
  await look(60, 20);
  meanwhile(() => all.w.must('Tapio', 'part.checkOff', { item: all.outboard, person: all.w.person('Tapio') }));
  for (const metres of [3_000, 3_000, 10, 10]) await look(60, metres);
  expect(rung()).toBe(1);
});

test('what was known of one’s coming outlives the tab', async () => {
  const all = house();
  const first = open(all);
  switchOn();
  await first.look(0, 2_000);
  await first.look(60, 20);
  first.unmount();
  const again = open(all);
  await again.look(60, 20);
  expect(again.rung()).toBe(1);
});

test('not allowed, it is said once, and by hand it does the same', async () => {
  const all = house();
  const { rung, there, said } = open(all);
  switchOn();
  const refuse = () => act(async () => failed({ code: 1, PERMISSION_DENIED: 1, TIMEOUT: 3 } as GeolocationPositionError));
  await refuse();
  expect(said()).toMatch(/^This browser isn’t allowed to see your location/);
  const say = (words: string) =>
    act(async () => {
      jest.setSystemTime(Date.now() + 1_000);
      all.w.later(1);
      tap(words);
    });
  await say('At the workshop');
  expect(rung()).toBe(1);
  expect(there()).toEqual([all.place('Workshop')]);
  await refuse();
  expect(said()).toBe('At Workshop: “Collect the outboard”');
  // one is at one place at a time, by hand
  await say('At the shop');
  expect(there()).toEqual([all.place('Shop')]);
  await say('Nowhere');
  expect(there()).toEqual([]);
});

test('nothing but comings and goings leaves the device', async () => {
  const all = house();
  const { look, given } = open(all);
  switchOn();
  for (const metres of [2_000, 20, 20, 3_000, 3_000]) await look(60, metres);
  expect([...new Set(given)]).toEqual(['visit.report']);
  const visits = JSON.stringify(all.w.rows.all('visit'));
  expect(visits).not.toMatch(/lat|lon|accuracy|62\.3/);
});
