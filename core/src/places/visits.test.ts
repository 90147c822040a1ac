import * as fc from 'fast-check';
import { EARTH_RADIUS } from './distance.ts';
import { judge, NO_VISITS, placesHere, sayHere, type Crossing, type Fix, type Geofence } from './visits.ts';

const HOME = { lat: 61.5, lon: 23.7 };
const METRE = 180 / (Math.PI * EARTH_RADIUS);
const SHOP: Geofence = { id: 'shop', ...HOME, radius: 80 };

/** A fix so many metres north of the shop, seconds after the beginning. */
const fix = (seconds: number, metres: number, accuracy = 10): Fix => ({ at: seconds * 1000, lat: HOME.lat + metres * METRE, lon: HOME.lon, accuracy });

function track(fixes: readonly Fix[], spots: readonly Geofence[] = [SHOP]): string[] {
  let visits = NO_VISITS;
  const found: Crossing[] = [];
  for (const one of fixes) {
    const judged = judge(visits, one, spots);
    // what is kept survives being written down and read again
    visits = JSON.parse(JSON.stringify(judged.visits)) as typeof visits;
    found.push(...judged.crossings);
  }
  return found.map(({ kind, placeId, at }) => `${at / 1000} ${kind} ${placeId}`);
}

test.each<[string, Fix[], string[]]>([
  ['two fixes inside, half a minute apart', [fix(0, 500), fix(60, 50), fix(90, 20)], ['90 enter shop']],
  ['nearer together it takes more of them', [fix(0, 500), fix(60, 50), fix(70, 40), fix(80, 30), fix(90, 20)], ['90 enter shop']],
  ['minutes apart it takes two', [fix(0, 500), fix(600, 50), fix(1200, 20)], ['1200 enter shop']],
  ['one alone is no visit', [fix(0, 500), fix(60, 50), fix(90, 500), fix(120, 50)], []],
  ['passing by at 400 metres', [fix(0, 900), fix(30, 400), fix(60, 400), fix(90, 900)], []],
  ['a fix two kilometres vague says nothing', [fix(0, 500), fix(60, 10, 2000), fix(120, 10, 2000)], []],
  ['and breaks no row', [fix(0, 500), fix(60, 50), fix(75, 900, 2000), fix(90, 20)], ['90 enter shop']],
  ['the first sets where one is, silently', [fix(0, 20), fix(60, 20), fix(120, 20)], []],
  ['left outside the edge only', [fix(0, 20), fix(60, 100), fix(120, 105), fix(180, 120), fix(240, 120)], ['240 leave shop']],
  [
    'once a visit, and again at the next',
    [fix(0, 900), fix(60, 9), fix(90, 9), fix(120, 9), fix(150, 900), fix(180, 900), fix(210, 9), fix(240, 9)],
    ['90 enter shop', '180 leave shop', '240 enter shop'],
  ],
  ['out of their order, or of the same time', [fix(0, 500), fix(60, 50), fix(60, 10), fix(30, 900), fix(90, 20)], ['90 enter shop']],
  ['a jump of 500 kilometres and back', [fix(0, 20), fix(60, 500_000), fix(90, 20), fix(120, 20)], []],
])('%s', (_, fixes, crossings) => {
  expect(track(fixes)).toEqual(crossings);
});

test('a small place asks for no better than 100 metres, a large one for its own size', () => {
  const yard: Geofence = { id: 'yard', ...HOME, radius: 400 };
  const fixes = [fix(0, 2000, 10), fix(60, 30, 300), fix(120, 30, 300)];
  expect(track(fixes, [SHOP, yard])).toEqual(['120 enter yard']);
  expect(track([fix(0, 2000, 10), fix(60, 30, 100), fix(120, 30, 100)], [{ ...SHOP, radius: 50 }])).toEqual(['120 enter shop']);
});

test('said by hand one is there and nowhere else; said again it is nothing new', () => {
  const spots = [SHOP, { ...SHOP, id: 'quay', lat: HOME.lat + 1 }];
  const said = sayHere(judge(NO_VISITS, fix(0, 20), spots).visits, 'quay', 60_000, spots);
  expect(said.crossings.map(({ kind, placeId }) => `${kind} ${placeId}`)).toEqual(['leave shop', 'enter quay']);
  expect(placesHere(said.visits)).toEqual(['quay']);
  expect(sayHere(said.visits, 'quay', 90_000, spots).crossings).toEqual([]);
});

test('whatever the track, arriving and leaving take turns, and each lies half a minute after what began it', () => {
  const steps = fc.array(
    fc.record({ seconds: fc.integer({ min: 1, max: 90 }), metres: fc.constantFrom(0, 50, 79, 95, 109, 112, 400), accuracy: fc.constantFrom(5, 80, 150) }),
    { maxLength: 60 },
  );
  fc.assert(
    fc.property(steps, (walked) => {
      let at = 0;
      const crossings = track(walked.map(({ seconds, metres, accuracy }) => fix((at += seconds), metres, accuracy)));
      const kinds = crossings.map((said) => said.split(' ')[1]);
      kinds.forEach((kind, nth) => nth > 0 && expect(kind).not.toBe(kinds[nth - 1]));
      const times = crossings.map((said) => Number(said.split(' ')[0]));
      times.forEach((time, nth) => nth > 0 && expect(time - times[nth - 1]!).toBeGreaterThanOrEqual(30));
    }),
  );
});
