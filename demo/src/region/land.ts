import { chance, coordinatesOf, smooth, type MapPoint } from './frame.ts';
import { KNOWN } from './places.ts';

/** The region drawn: water, woods, fields, roads, houses, as GeoJSON (RFC 7946). */

export const ROADS = {
  lake: [
    [-4000, 2300],
    [-1500, 2000],
    [600, 1750],
    [2400, 1500],
    [4200, 1350],
    [6500, 950],
    [9500, 1400],
  ],
  shore: [
    [20, 70],
    [150, 500],
    [420, 1100],
    [600, 1750],
  ],
  church: [
    [2400, 1500],
    [2400, 1100],
    [2500, 900],
    [2720, 840],
  ],
  post: [
    [2400, 1100],
    [2050, 1050],
    [1850, 1250],
    [1900, 1560],
  ],
  mill: [
    [2400, 1100],
    [2950, 1210],
    [2950, 1450],
  ],
  meadow: [
    [2400, 1500],
    [2300, 2800],
    [2700, 4200],
    [2500, 5480],
  ],
  school: [
    [2900, 1470],
    [3000, 1880],
    [3330, 2060],
  ],
  river: [
    [6500, 950],
    [6760, 700],
    [7150, 1000],
  ],
  ferry: [
    [150, 500],
    [800, 300],
    [1150, -900],
  ],
  quay: [
    [20, 70],
    [90, -20],
    [150, -75],
  ],
  farms: [
    [2300, 2800],
    [600, 3100],
    [-1400, 3600],
  ],
} as const satisfies Record<string, readonly MapPoint[]>;

const WATER: Record<string, readonly MapPoint[]> = {
  Kaislavesi: [
    [-6000, -6000],
    [11_000, -6000],
    [11_000, -2500],
    [8300, -2500],
    [7200, -2100],
    [5200, -2700],
    [3600, -1700],
    [2300, -900],
    [1300, -1050],
    [900, -420],
    [230, -130],
    [60, -170],
    [-350, -300],
    [-800, -60],
    [-1300, 500],
    [-2100, 900],
    [-2700, 700],
    [-3200, 1400],
    [-6000, 1700],
  ],
  'Little lake': [
    [4300, 2900],
    [5300, 3100],
    [5800, 3900],
    [5000, 4500],
    [4200, 3900],
  ],
};
const ISLANDS: readonly MapPoint[][] = [
  [
    [200, -1700],
    [900, -1600],
    [1000, -2100],
    [300, -2300],
  ],
  [
    [3000, -2600],
    [3400, -2500],
    [3300, -2900],
  ],
  [
    [-1900, -900],
    [-1500, -700],
    [-1300, -1100],
    [-1700, -1300],
  ],
];
const RIVER: readonly MapPoint[] = [
  [7200, -2100],
  [7300, -500],
  [7020, 700],
  [7400, 1800],
  [7900, 3300],
  [7500, 6800],
];
const WOODS: readonly MapPoint[][] = [
  [
    [-3600, 2600],
    [-800, 2300],
    [1500, 2300],
    [1700, 3900],
    [-900, 5200],
    [-3600, 4900],
  ],
  [
    [3400, 2500],
    [6900, 1700],
    [6800, 5600],
    [3600, 6400],
    [3300, 4200],
  ],
  [
    [3700, 700],
    [6200, 400],
    [5900, -1500],
    [4300, -1300],
  ],
  [
    [700, 1200],
    [1500, 1150],
    [1700, 300],
    [1100, -100],
    [600, 500],
  ],
];
const FIELDS: readonly MapPoint[][] = [
  [
    [1900, 2300],
    [3100, 2300],
    [3200, 3700],
    [2000, 3900],
  ],
  [
    [1800, 4400],
    [3300, 4500],
    [3200, 5900],
    [1700, 5800],
  ],
  [
    [-1500, 1400],
    [200, 1100],
    [350, 1550],
    [-1300, 1850],
  ],
];

const feature = (kind: string, geometry: object, name?: string) => ({ type: 'Feature', properties: name ? { kind, name } : { kind }, geometry });
const area = (spots: readonly MapPoint[], holes: readonly (readonly MapPoint[])[] = []) => ({
  type: 'Polygon',
  coordinates: [spots, ...holes].map((ring) => [...ring, ring[0]!].map(coordinatesOf)),
});
const line = (spots: readonly MapPoint[]) => ({ type: 'LineString', coordinates: spots.map(coordinatesOf) });

/** A house: four walls, turned a little. */
function house([east, north]: MapPoint, [wide, deep]: MapPoint, turn: number): object {
  const corner = (x: number, y: number): MapPoint => [east + x * Math.cos(turn) - y * Math.sin(turn), north + x * Math.sin(turn) + y * Math.cos(turn)];
  return area([corner(-wide, -deep), corner(wide, -deep), corner(wide, deep), corner(-wide, deep)]);
}

/** Houses along a road, on either side, now and then. */
function* houses(road: readonly MapPoint[], every: number, next: () => number): Generator<MapPoint> {
  for (let at = 0; at < road.length - 1; at++) {
    const [[x1, y1], [x2, y2]] = [road[at]!, road[at + 1]!];
    const long = Math.hypot(x2 - x1, y2 - y1);
    for (let far = every * next(); far < long; far += every * (0.5 + next())) {
      const side = next() < 0.5 ? -1 : 1;
      const off = side * (35 + 30 * next());
      yield [x1 + ((x2 - x1) * far - (y2 - y1) * off) / long, y1 + ((y2 - y1) * far + (x2 - x1) * off) / long];
    }
  }
}

export function drawLand(): object {
  const next = chance(7);
  const lake = Object.entries(WATER).map(([name, shore]) => {
    const islands = name === 'Kaislavesi' ? ISLANDS.map((island) => smooth(island, true)) : [];
    return feature('water', area(smooth(shore, true), islands), name);
  });
  const roads = Object.entries(ROADS).map(([name, road]) => feature(name === 'lake' || name === 'meadow' ? 'road' : 'lane', line(smooth(road, false, 2))));
  const along: [readonly MapPoint[], number][] = [
    [ROADS.church, 70],
    [ROADS.post, 80],
    [ROADS.mill, 75],
    [ROADS.school, 90],
    [ROADS.meadow, 420],
    [ROADS.farms, 480],
    [ROADS.lake.slice(3, 5), 120],
  ];
  const dwellings = along.flatMap(([road, every]) => [...houses(road, every, next)].map((spot) => house(spot, [8 + 5 * next(), 6 + 3 * next()], next() * 3)));
  const known = Object.values(KNOWN).map(({ at }) => house([at[0] + 4, at[1] + 6], [15, 10], 0.2));
  return {
    type: 'FeatureCollection',
    features: [
      ...WOODS.map((wood) => feature('wood', area(smooth(wood, true)))),
      ...FIELDS.map((field) => feature('field', area(smooth(field, true, 1)))),
      ...lake,
      feature('river', line(smooth(RIVER, false)), 'Mill river'),
      ...roads,
      ...[...dwellings, ...known].map((one) => feature('building', one)),
    ],
  };
}

/** Names and addresses, as a list to look them up in. */
export const gazetteer = (): object => ({
  type: 'FeatureCollection',
  features: Object.entries(KNOWN).map(([name, { at, address }]) => ({
    type: 'Feature',
    properties: { name, address },
    geometry: { type: 'Point', coordinates: coordinatesOf(at) },
  })),
});
