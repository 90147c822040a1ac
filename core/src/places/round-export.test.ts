import { roundAsGeoJson, roundAsGpx } from './round-export.ts';

const STOPS = [
  { name: 'Nuts & <bolts>', lat: 62.3, lon: 27.1, titles: ['Hinges', 'A "fine" saw\u0007'] },
  { name: 'Dairy', lat: 62.35, lon: 27.15, titles: [] },
];

test('as a GPX route: latitude and longitude as attributes, every word escaped', () => {
  const gpx = roundAsGpx('Round of Petri', STOPS);
  expect(gpx).toContain('<gpx version="1.1"');
  expect(gpx).toContain('<rtept lat="62.3" lon="27.1"><name>Nuts &amp; &lt;bolts&gt;</name><desc>Hinges\nA &quot;fine&quot; saw</desc></rtept>');
  expect(gpx).toContain('<rtept lat="62.35" lon="27.15"><name>Dairy</name></rtept>');
});

test('as GeoJSON: the way first, then the stops in their order, longitude first', () => {
  const { features } = JSON.parse(roundAsGeoJson('Round', STOPS)) as { features: { geometry: { type: string; coordinates: unknown }; properties: object }[] };
  expect(features.map(({ geometry }) => geometry.type)).toEqual(['LineString', 'Point', 'Point']);
  expect(features[0]!.geometry.coordinates).toEqual([
    [27.1, 62.3],
    [27.15, 62.35],
  ]);
  expect(features[2]).toMatchObject({ geometry: { coordinates: [27.15, 62.35] }, properties: { order: 2, name: 'Dairy' } });
  expect(JSON.parse(roundAsGeoJson('One', STOPS.slice(1)))).toMatchObject({ features: [{ geometry: { type: 'Point' } }] });
});
