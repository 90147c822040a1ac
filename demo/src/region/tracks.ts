import { chance, positionOf, type MapPoint } from './frame.ts';
import { ROADS } from './land.ts';
import { KNOWN } from './places.ts';

/** Recorded ways of the demo's phones, as GPX. */

type Step = { go: readonly MapPoint[]; kmh: number } | { stay: MapPoint; minutes: number } | { vague: MapPoint };
interface Track {
  name: string;
  steps: Step[];
}

const at = (name: string): MapPoint => KNOWN[name]!.at;
const back = (road: readonly MapPoint[]): MapPoint[] => [...road].reverse();
const { lake, shore, church, post, mill, meadow, school, river, quay } = ROADS;
const HOME = at('Guesthouse');
const toVillage = [HOME, ...shore, lake[3]];
const fromVillage = back(toVillage);

export const TRACKS: Record<string, Track> = {
  'guesthouse-to-workshop': {
    name: 'To the engine workshop and back',
    steps: [
      { stay: HOME, minutes: 4 },
      { go: [HOME, ...shore, lake[3]], kmh: 50 },
      // the shop lies 400 m off the road; one look is two kilometres vague, right on it
      { vague: at('Village shop') },
      { go: [lake[3], lake[4], lake[5], river[1], at('Engine workshop')], kmh: 60 },
      { stay: at('Engine workshop'), minutes: 8 },
      { go: [at('Engine workshop'), river[1], lake[5], lake[4], lake[3]], kmh: 60 },
      { go: fromVillage, kmh: 50 },
      { stay: HOME, minutes: 8 },
    ],
  },
  'errands-in-the-village': {
    name: 'Pharmacy, hardware, shop, post',
    steps: [
      { stay: HOME, minutes: 3 },
      { go: [HOME, ...shore, at('Pharmacy')], kmh: 50 },
      { stay: at('Pharmacy'), minutes: 4 },
      { go: [at('Pharmacy'), lake[3], at('Hardware store')], kmh: 30 },
      { stay: at('Hardware store'), minutes: 6 },
      { go: [at('Hardware store'), lake[3], church[1]], kmh: 30 },
      { stay: at('Village shop'), minutes: 10 },
      { go: [church[1], post[1], at('Post point')], kmh: 30 },
      { stay: at('Post point'), minutes: 3 },
      { go: [at('Post point'), post[1], church[1], ...fromVillage], kmh: 45 },
      { stay: HOME, minutes: 3 },
    ],
  },
  'school-by-bike': {
    name: 'School, then the ice rink, by bike',
    steps: [
      { stay: HOME, minutes: 2 },
      { go: [...toVillage, school[0], at('School')], kmh: 17 },
      { stay: at('School'), minutes: 12 },
      { go: [at('School'), school[2], at('Ice rink')], kmh: 15 },
      { stay: at('Ice rink'), minutes: 8 },
      { go: [at('Ice rink'), school[1], school[0], ...fromVillage], kmh: 17 },
      { stay: HOME, minutes: 3 },
    ],
  },
  'walk-the-dog': {
    name: 'To the quay and round on foot',
    steps: [
      { stay: HOME, minutes: 2 },
      { go: [HOME, ...quay], kmh: 5 },
      { stay: at('Quay'), minutes: 5 },
      { go: [...back(quay), ...shore], kmh: 5 },
      { go: back(shore), kmh: 5 },
      { stay: HOME, minutes: 2 },
    ],
  },
  'dairy-before-three': {
    name: 'To the dairy and the bakery',
    steps: [
      { stay: HOME, minutes: 2 },
      { go: [...toVillage, ...meadow.slice(1), at('Dairy')], kmh: 55 },
      { stay: at('Dairy'), minutes: 6 },
      { go: [at('Dairy'), ...back(meadow), church[1], mill[1], at('Bakery')], kmh: 45 },
      { stay: at('Bakery'), minutes: 5 },
      { go: [at('Bakery'), mill[1], church[1], ...fromVillage], kmh: 45 },
      { stay: HOME, minutes: 3 },
    ],
  },
  'timber-and-recycling': {
    name: 'Timber yard and recycling yard',
    steps: [
      { stay: HOME, minutes: 2 },
      { go: [...toVillage, lake[4], at('Timber yard')], kmh: 55 },
      { stay: at('Timber yard'), minutes: 9 },
      { go: [at('Timber yard'), lake[4], at('Recycling yard')], kmh: 40 },
      { stay: at('Recycling yard'), minutes: 5 },
      { go: [at('Recycling yard'), lake[4], ...fromVillage], kmh: 55 },
      { stay: HOME, minutes: 2 },
    ],
  },
};

/** Seconds between two looks: under way, and standing still. */
const EVERY = { go: 10, stay: 40 };
const BEGINS = Date.UTC(2026, 10, 24, 9);

interface Point {
  seconds: number;
  spot: MapPoint;
  /** Metres. */
  accuracy: number;
}

function* pointsOf(steps: readonly Step[], next: () => number): Generator<Point> {
  let seconds = 0;
  const about = ([east, north]: MapPoint): Point => {
    const accuracy = 5 + 15 * next();
    return { seconds, spot: [east + accuracy * (next() - 0.5), north + accuracy * (next() - 0.5)], accuracy };
  };
  for (const step of steps) {
    if ('vague' in step) yield { seconds: (seconds += EVERY.go), spot: step.vague, accuracy: 2_000 };
    else if ('stay' in step) {
      for (const until = seconds + step.minutes * 60; seconds < until; seconds += EVERY.stay) yield about(step.stay);
    } else
      for (const spot of along(step.go, (step.kmh / 3.6) * EVERY.go)) {
        seconds += EVERY.go;
        yield about(spot);
      }
  }
}

/** Spots so many metres apart along a line, and its end. */
function* along(line: readonly MapPoint[], apart: number): Generator<MapPoint> {
  let left = apart;
  for (let nth = 0; nth < line.length - 1; nth++) {
    const [[x1, y1], [x2, y2]] = [line[nth]!, line[nth + 1]!];
    const long = Math.hypot(x2 - x1, y2 - y1);
    for (; left <= long; left += apart) yield [x1 + ((x2 - x1) * left) / long, y1 + ((y2 - y1) * left) / long];
    left -= long;
  }
  yield line.at(-1)!;
}

/** A device's accuracy as GPX has it: its horizontal dilution, of 5 m each. */
export const METRES_PER_HDOP = 5;

export function gpxOf({ name, steps }: Track, seed: number): string {
  const points = [...pointsOf(steps, chance(seed))].map(({ seconds, spot, accuracy }) => {
    const { lat, lon } = positionOf(spot);
    const time = new Date(BEGINS + seconds * 1000).toISOString().replace('.000', '');
    return `<trkpt lat="${lat}" lon="${lon}"><time>${time}</time><hdop>${(accuracy / METRES_PER_HDOP).toFixed(1)}</hdop></trkpt>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Kotiva demo" xmlns="http://www.topografix.com/GPX/1/1">
<trk><name>${name}</name><trkseg>
${points.join('\n')}
</trkseg></trk>
</gpx>
`;
}
