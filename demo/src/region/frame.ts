/** The made-up region around the guesthouse, in metres east and north of it. */

export type MapPoint = readonly [east: number, north: number];

const ORIGIN = { lat: 62.3, lon: 27.1 };
const METRES = 111_195;
const rounded = (degrees: number): number => Math.round(degrees * 1e6) / 1e6;

/** WGS 84. */
export const positionOf = ([east, north]: MapPoint): { lat: number; lon: number } => ({
  lat: rounded(ORIGIN.lat + north / METRES),
  lon: rounded(ORIGIN.lon + east / (METRES * Math.cos((ORIGIN.lat * Math.PI) / 180))),
});

/** Longitude first, as GeoJSON has it (RFC 7946). */
export const coordinatesOf = (spot: MapPoint): [number, number] => {
  const { lat, lon } = positionOf(spot);
  return [lon, lat];
};

/** Figures that look like chance and are the same every time. */
export function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648;
}

/** Corners cut twice over, as shores and lanes have none (Chaikin). */
export function smooth(line: readonly MapPoint[], closed: boolean, times = 3): MapPoint[] {
  let spots = [...line];
  for (let nth = 0; nth < times; nth++) {
    const cut: MapPoint[] = [];
    const last = closed ? spots.length : spots.length - 1;
    for (let at = 0; at < last; at++) {
      const [a, b] = [spots[at]!, spots[(at + 1) % spots.length]!];
      cut.push([a[0] * 0.75 + b[0] * 0.25, a[1] * 0.75 + b[1] * 0.25], [a[0] * 0.25 + b[0] * 0.75, a[1] * 0.25 + b[1] * 0.75]);
    }
    spots = closed ? cut : [spots[0]!, ...cut, spots.at(-1)!];
  }
  return spots;
}
