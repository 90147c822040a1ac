import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fixesTold, judge, NO_VISITS, type Fix, type Geofence } from '@kotiva/core';

const REGION = join(__dirname, '../../../demo/region');
const found = (
  JSON.parse(readFileSync(join(REGION, 'gazetteer.geojson'), 'utf8')) as {
    features: { properties: { name: string }; geometry: { coordinates: [number, number] } }[];
  }
).features;
const spot = (name: string, radius: number): Geofence => {
  const [lon, lat] = found.find(({ properties }) => properties.name === name)!.geometry.coordinates;
  return { id: name, lat, lon, radius };
};
const SPOTS = [
  spot('Guesthouse', 120),
  spot('Quay', 60),
  spot('Village shop', 80),
  spot('Engine workshop', 120),
  spot('Pharmacy', 60),
  spot('Hardware store', 80),
  spot('Post point', 60),
  spot('Dairy', 150),
  spot('Bakery', 60),
  spot('Timber yard', 150),
  spot('Recycling yard', 100),
  spot('School', 150),
  spot('Ice rink', 100),
];

function trackOf(file: string): Fix[] {
  const gpx = readFileSync(join(REGION, 'tracks', `${file}.gpx`), 'utf8');
  return [...gpx.matchAll(/<trkpt lat="([^"]+)" lon="([^"]+)"><time>([^<]+)<\/time><hdop>([^<]+)</g)].map(([, lat, lon, time, hdop]) => ({
    at: Date.parse(time!),
    lat: Number(lat),
    lon: Number(lon),
    accuracy: Number(hdop) * 5,
  }));
}

function eventsOf(fixes: readonly Fix[]): string[] {
  let visits = NO_VISITS;
  const events: string[] = [];
  for (const fix of fixes) {
    const judged = judge(visits, fix, SPOTS);
    visits = judged.visits;
    events.push(...judged.found.map((id) => `found ${id}`), ...judged.crossings.map(({ kind, placeId }) => `${kind} ${placeId}`));
  }
  return events;
}

const TO_WORKSHOP = ['found Guesthouse', 'leave Guesthouse', 'enter Engine workshop', 'leave Engine workshop', 'enter Guesthouse'];

test('to the workshop: nothing at the shop 400 m off the road, nor from the look that is two kilometres vague', () => {
  const track = trackOf('guesthouse-to-workshop');
  expect(track.some(({ accuracy }) => accuracy === 2_000)).toBe(true);
  expect(eventsOf(track)).toEqual(TO_WORKSHOP);
});

test.each([
  ['errands-in-the-village', ['Pharmacy', 'Hardware store', 'Village shop', 'Post point', 'Guesthouse']],
  // slowly past the school again on the way home
  ['school-by-bike', ['School', 'Ice rink', 'School', 'Guesthouse']],
  // past the house on the way, and home again
  ['walk-the-dog', ['Quay', 'Guesthouse', 'Guesthouse']],
  ['dairy-before-three', ['Dairy', 'Bakery', 'Guesthouse']],
  ['timber-and-recycling', ['Timber yard', 'Recycling yard', 'Guesthouse']],
])('%s: comes to what it goes to, and leaves it again', (file, stops) => {
  const events = eventsOf(trackOf(file));
  expect(events.filter((event) => !event.startsWith('leave'))).toEqual(['found Guesthouse', ...stops.map((stop) => `enter ${stop}`)]);
  for (const stop of new Set(stops.slice(0, -1))) expect(events).toContain(`leave ${stop}`);
});

test('with minutes between the looks it finds the same', () => {
  expect(eventsOf(fixesTold(trackOf('guesthouse-to-workshop'), { accuracy: null, gap: 180_000 }))).toEqual(TO_WORKSHOP);
});

test('looks that are vaguer than a place say nothing of it', () => {
  expect(eventsOf(fixesTold(trackOf('guesthouse-to-workshop'), { accuracy: 140, gap: 0 }))).toEqual([]);
});

test('a jump of 500 km and back is believed only when a second look confirms it', () => {
  const [first, ...rest] = trackOf('guesthouse-to-workshop').slice(0, 4);
  const far = { ...first!, at: first!.at + 1_000, lat: first!.lat - 4.5 };
  expect(eventsOf([first!, far, ...rest])).toEqual(['found Guesthouse']);
  expect(eventsOf([first!, far, { ...far, at: far.at + 31_000 }])).toEqual(['found Guesthouse', 'leave Guesthouse']);
});

test('looks out of order, or of the same moment, are left out', () => {
  const track = trackOf('guesthouse-to-workshop');
  const shuffled = track.flatMap((fix, nth) => (nth > 2 ? [fix, { ...track[nth - 2]! }, fix] : [fix]));
  expect(eventsOf(shuffled)).toEqual(TO_WORKSHOP);
});
