import { readGpx } from './gpx.ts';

const point = (lat: number, time: string, more = '') => `<trkpt lat="${lat}" lon="27.1"><time>${time}</time>${more}</trkpt>`;
const gpx = (points: string) => `<?xml version="1.0"?><gpx version="1.1"><trk><name>To the mill</name><trkseg>${points}</trkseg></trk></gpx>`;

test('points with their time and accuracy, in the order of time', () => {
  const read = readGpx(gpx(point(62.2, '2026-11-24T09:01:00Z', '<hdop>3</hdop>') + point(62.1, '2026-11-24T09:00:00Z')), 'x')!;
  expect(read.name).toBe('To the mill');
  expect(read.fixes).toEqual([
    { at: Date.parse('2026-11-24T09:00:00Z'), lat: 62.1, lon: 27.1, accuracy: 10 },
    { at: Date.parse('2026-11-24T09:01:00Z'), lat: 62.2, lon: 27.1, accuracy: 15 },
  ]);
});

test.each([
  ['no XML', 'hello'],
  ['no points', gpx('')],
  ['one point', gpx(point(62, '2026-11-24T09:00:00Z'))],
  ['points without a time', gpx('<trkpt lat="62" lon="27"/><trkpt lat="62" lon="27"/>')],
  ['points off the earth', gpx(point(95, '2026-11-24T09:00:00Z') + point(96, '2026-11-24T09:01:00Z'))],
])('%s is no track', (_, text) => expect(readGpx(text, 'x')).toBeNull());
