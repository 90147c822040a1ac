import { act, screen, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { answering } from '@/testing/answers.ts';
import { alerts, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { PlaceSheet } from './place-sheet.tsx';

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
const save = () => act(async () => tap('Save'));
const made = (w: World) => w.rows.all('place')[0];
beforeEach(() => closed.mockClear());

test.each([
  ['', '27.1', 'Write both as numbers, like 62.3011 and 27.1049.'],
  ['north', '27.1', 'Write both as numbers, like 62.3011 and 27.1049.'],
  ['62.3', '181', 'Latitude goes from −90 to 90, longitude from −180 to 180.'],
  ['127.1', '62.3', 'These look swapped: latitude goes only from −90 to 90. Write it in the first field.'],
])('degrees %p, %p are not taken, and why is said', (lat, lon, why) => {
  open(house());
  tap('In degrees');
  type('Latitude', lat);
  type('Longitude', lon);
  tap('Take these');
  expect(alerts()).toEqual([why]);
  expect(screen.getByText('Tap the map where it is.')).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('Latitude').value).toBe(lat);
});

test('degrees with a comma are taken', async () => {
  const w = house();
  open(w);
  type('Name of the place', 'Dairy');
  tap('In degrees');
  type('Latitude', '62,3011');
  type('Longitude', '27,1049');
  tap('Take these');
  await save();
  expect(made(w)).toMatchObject({ name: 'Dairy', position: { lat: 62.3011, lon: 27.1049 }, radius: 100, seenBy: null });
  expect(closed).toHaveBeenCalled();
});

test.each(['0', '49', '5001', 'far', '1e3', ''])('a radius of %p is not taken; what else was typed stays', async (radius) => {
  const w = house();
  open(w);
  type('Name of the place', 'Dairy');
  type('How far it reaches, in metres', radius);
  await save();
  expect(alerts()).toEqual(['Write whole metres, from 50 to 5000: a device can’t tell less.']);
  expect(made(w)).toBeUndefined();
  expect(screen.getByLabelText<HTMLInputElement>('Name of the place').value).toBe('Dairy');
});

test('a place without a name, and hours nobody can read, are both said by their fields', async () => {
  const w = house();
  open(w);
  tap('Write it out');
  type('Open, as OpenStreetMap writes it', 'weekdays, mostly');
  await save();
  expect(alerts()).toEqual([expect.stringContaining('weekdays, mostly')]);
  type('Open, as OpenStreetMap writes it', 'Mo-Fr 09:00-17:00');
  await save();
  expect(alerts()).toHaveLength(1);
  expect(made(w)).toBeUndefined();
});

test('hours from plain choices are written as the standard has them', async () => {
  const w = house();
  open(w);
  type('Name of the place', 'Village shop');
  tap('Say when it is open');
  type('To 1', '18:00');
  tap('Other days too');
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
  const lookUp = () => act(async () => tap('Look up'));
  await lookUp();
  expect(alerts()).toEqual(['Write an address or a name first.']);
  type('Address or name', 'Rantatie 4 & more');
  await lookUp();
  expect(alerts()).toEqual(['Nothing is known by that. What you wrote stays; choose the spot on the map.']);
  await lookUp();
  expect(alerts()).toEqual(['Addresses can’t be looked up just now. What you wrote stays; choose the spot on the map.']);
  await lookUp();
  expect(asked.at(-1)).toBe('GET /api/geocode?q=Rantatie%204%20%26%20more');
  tap('Dairy, Rantatie 4');
  type('Name of the place', 'Dairy');
  await save();
  expect(made(w)).toMatchObject({ position: { lat: 62.3, lon: 27.1 }, address: 'Rantatie 4' });
});

test('seen by whom one chooses; for the others it is not there', async () => {
  const w = house();
  open(w, 'Tapio');
  type('Name of the place', 'My berry spot');
  tap('Only me and whom I choose', 'radio');
  expect(
    within(screen.getByRole('group', { name: 'Also sees it' }))
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
  tap('Remove the place');
  expect(alerts()[0]).toContain('2 open things are done here; they stay, without a place. 1 reminder you see hangs on it and no longer rings.');
  tap('Remove Workshop');
  expect(made(w)!.removedAt).not.toBeNull();
  expect(w.row(outboard!)).toMatchObject({ removedAt: null, title: 'Outboard' });
});

test('a place half made is there again as it was; saved, the next begins anew', async () => {
  const w = new World();
  const sheet = () => inHouse(w, 'Aino', <PlaceSheet place={null} onClose={() => undefined} />);
  const name = () => screen.getByLabelText<HTMLInputElement>('Name of the place').value;
  const first = sheet();
  type('Name of the place', 'Boathouse quay');
  first.unmount();
  const second = sheet();
  expect(name()).toBe('Boathouse quay');
  await act(async () => tap('Save'));
  second.unmount();
  expect(w.rows.all('place').map((place) => place.name)).toEqual(['Boathouse quay']);
  sheet();
  expect(name()).toBe('');
});
