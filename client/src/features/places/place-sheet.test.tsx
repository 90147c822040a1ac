import { act, screen, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { answering } from '@/testing/answers.ts';
import { alerts, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { PlaceSheet } from './place-sheet.tsx';
import { t } from '@/words';

jest.mock('./errands.ts', () => ({ canReadHours: async (text: string) => jest.requireActual('./open-on.ts').readsHours(text || 'Mo') }));

beforeEach(() => localStorage.clear());

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Tapio', 'member');
  return w;
}
const closed = jest.fn();
const open = (w: World, who = 'Aino') => {
  const place = w.rows.all('place')[0] ?? null;
  return inHouse(w, who, <PlaceSheet place={place} onClose={closed} />);
};
const save = () => act(async () => tap(t('common.save')));
const made = (w: World) => w.rows.all('place')[0];
beforeEach(() => closed.mockClear());

test.each([
  ['', '27.1', 'Enter both as numbers, like 62.3011 and 27.1049.'],
  ['north', '27.1', 'Enter both as numbers, like 62.3011 and 27.1049.'],
  ['62.3', '181', 'Latitude goes from −90 to 90, longitude from −180 to 180.'],
  ['127.1', '62.3', 'These look swapped: latitude only goes from −90 to 90. Enter it in the first field.'],
])('degrees %p, %p are not taken, and why is said', (lat, lon, why) => {
  open(house());
  tap(t('place.degrees'));
  type(t('place.lat'), lat);
  type(t('place.lon'), lon);
  tap(t('place.takeDegrees'));
  expect(alerts()).toEqual([why]);
  expect(screen.getByText(t('place.tapMap'))).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>(t('place.lat')).value).toBe(lat);
});

test('degrees with a comma are taken', async () => {
  const w = house();
  open(w);
  type(t('place.name'), 'Dairy');
  tap(t('place.degrees'));
  type(t('place.lat'), '62,3011');
  type(t('place.lon'), '27,1049');
  tap(t('place.takeDegrees'));
  await save();
  expect(made(w)).toMatchObject({ name: 'Dairy', position: { lat: 62.3011, lon: 27.1049 }, radius: 100, seenBy: null });
  expect(closed).toHaveBeenCalled();
});

test.each(['0', '49', '5001', 'far', '1e3', ''])('a radius of %p is not taken; what else was typed stays', async (radius) => {
  const w = house();
  open(w);
  type(t('place.name'), 'Dairy');
  type(t('place.radius'), radius);
  await save();
  expect(alerts()).toEqual(['Enter whole metres, from 50 to 5000: devices can’t tell less.']);
  expect(made(w)).toBeUndefined();
  expect(screen.getByLabelText<HTMLInputElement>(t('place.name')).value).toBe('Dairy');
});

test('a place without a name, and hours nobody can read, are both said by their fields', async () => {
  const w = house();
  open(w);
  tap(t('hours.write'));
  type(t('hours.written'), 'weekdays, mostly');
  await save();
  expect(alerts()).toEqual([expect.stringContaining('weekdays, mostly')]);
  type(t('hours.written'), 'Mo-Fr 09:00-17:00');
  await save();
  expect(alerts()).toHaveLength(1);
  expect(made(w)).toBeUndefined();
});

test('hours from plain choices are written as the standard has them', async () => {
  const w = house();
  open(w);
  type(t('place.name'), 'Village shop');
  tap(t('hours.add'));
  type('To 1', '18:00');
  tap(t('hours.addMore'));
  await save();
  expect(made(w)!.openingHours).toBe('Mo-Fr 09:00-18:00; Sa 10:00-14:00');
});

test('an address is looked up; what is not known stays typed, and so does what can’t be asked', async () => {
  const asked = answering(
    { body: { found: [] } },
    { status: 502, body: { code: 'geocoder-down' } },
    { body: { found: [{ name: 'Dairy', where: 'Rantatie 4', lat: 62.3, lon: 27.1 }] } },
  );
  const w = house();
  open(w);
  const lookUp = () => act(async () => tap(t('place.find')));
  await lookUp();
  expect(alerts()).toEqual(['Enter an address or name first.']);
  type(t('place.address'), 'Rantatie 4 & more');
  await lookUp();
  expect(alerts()).toEqual(['Nothing found. What you typed is kept; choose the spot on the map.']);
  await lookUp();
  expect(alerts()).toEqual(['Addresses can’t be looked up right now. What you typed is kept; choose the spot on the map.']);
  await lookUp();
  expect(asked.at(-1)).toBe('GET /api/geocode?q=Rantatie%204%20%26%20more');
  tap('Dairy, Rantatie 4');
  type(t('place.name'), 'Dairy');
  await save();
  expect(made(w)).toMatchObject({ position: { lat: 62.3, lon: 27.1 }, address: 'Rantatie 4' });
});

test('seen by whom one chooses; for the others it is not there', async () => {
  const w = house();
  open(w, 'Tapio');
  type(t('place.name'), 'My berry spot');
  tap(t('place.onlySome'), 'radio');
  expect(
    within(screen.getByRole('group', { name: t('place.alsoSees') }))
      .getAllByRole('checkbox')
      .map((one) => one.textContent),
  ).toEqual(['Aino', 'Leila']);
  tap('Leila', 'checkbox');
  await save();
  expect(made(w)!.seenBy).toEqual([w.person('Tapio'), w.person('Leila')]);
});

test('removing says how many things and reminders hang on it; the things stay, without a place', () => {
  const w = house();
  w.must('Aino', 'place.make', { name: 'Workshop', position: { lat: 62.3, lon: 27.1 }, radius: 100 });
  const list = w.list('Aino', 'Boathouse');
  const place = made(w)!.id;
  const [outboard] = ['Outboard', 'Propeller'].map((title) => w.item('Aino', title, { list, place }));
  w.must('Aino', 'alarm.set', {
    item: outboard!,
    person: w.person('Aino'),
    trigger: { kind: 'place', place, on: 'enter', who: 'own', among: [], days: null, from: null, until: null, fallback: null },
  });
  open(w);
  tap(t('place.remove'));
  expect(alerts()[0]).toContain('2 open items are done here; they stay, without a place. 1 reminder you can see depends on it and will stop.');
  tap('Remove Workshop');
  expect(made(w)!.removedAt).not.toBeNull();
  expect(w.row(outboard!)).toMatchObject({ removedAt: null, title: 'Outboard' });
});

test('a place half made is there again as it was; saved, the next begins anew', async () => {
  const w = new World();
  const sheet = () => inHouse(w, 'Aino', <PlaceSheet place={null} onClose={() => undefined} />);
  const name = () => screen.getByLabelText<HTMLInputElement>(t('place.name')).value;
  const first = sheet();
  type(t('place.name'), 'Boathouse quay');
  first.unmount();
  const second = sheet();
  expect(name()).toBe('Boathouse quay');
  await act(async () => tap(t('common.save')));
  second.unmount();
  expect(w.rows.all('place').map((place) => place.name)).toEqual(['Boathouse quay']);
  sheet();
  expect(name()).toBe('');
});
