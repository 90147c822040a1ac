import { z } from 'zod';

/** A spot found by its name or address. */
export interface Found {
  name: string;
  /** What tells it from others of that name. */
  where: string;
  lat: number;
  lon: number;
}

/** From words to spots, as a port: a service over HTTP, or a list of one's own. */
export interface Geocoder {
  /** Those that fit best first, at most `MOST_FOUND`; rejects where it can't be asked. */
  find(words: string): Promise<Found[]>;
}

const MOST_FOUND = 6;
const PATIENCE_MS = 5_000;

/** RFC 7946: what both kinds answer with. */
const Features = z.object({
  type: z.literal('FeatureCollection'),
  features: z.array(
    z.object({
      geometry: z.object({ type: z.string(), coordinates: z.unknown() }),
      properties: z.record(z.string(), z.unknown()).nullable(),
    }),
  ),
});
const Point = z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)]).rest(z.number());

/** The points of a feature collection as spots. What is no point, or has no name, is left out. */
export function spotsOf(json: unknown): Found[] {
  return Features.parse(json).features.flatMap(({ geometry, properties }) => {
    const point = geometry.type === 'Point' ? Point.safeParse(geometry.coordinates) : null;
    const [name, where] = [textOf(properties, ['name', 'label', 'display_name']), textOf(properties, ['address', 'street', 'where'])];
    return point?.success && name ? [{ name, where, lon: point.data[0], lat: point.data[1] }] : [];
  });
}

const textOf = (properties: Record<string, unknown> | null, keys: readonly string[]): string => {
  for (const key of keys) if (typeof properties?.[key] === 'string') return properties[key].slice(0, 200);
  return '';
};

/** A service that answers `?q=words&limit=6` with a feature collection of points. */
export class HttpGeocoder implements Geocoder {
  constructor(private readonly url: string) {}

  async find(words: string): Promise<Found[]> {
    const url = new URL(this.url);
    url.searchParams.set('q', words);
    url.searchParams.set('limit', String(MOST_FOUND));
    const answer = await fetch(url, { signal: AbortSignal.timeout(PATIENCE_MS), headers: { accept: 'application/geo+json, application/json' } });
    if (!answer.ok) throw new Error(`the geocoder answered ${answer.status}`);
    return spotsOf(await answer.json()).slice(0, MOST_FOUND);
  }
}

/** A list of names and addresses: each word asked for begins a word of what is found. */
export class Gazetteer implements Geocoder {
  constructor(private readonly spots: readonly Found[]) {}

  find(words: string): Promise<Found[]> {
    const asked = wordsOf(words);
    if (asked.length === 0) return Promise.resolve([]);
    const fits = (text: string) => asked.every((word) => wordsOf(text).some((one) => one.startsWith(word)));
    const byName = this.spots.filter(({ name }) => fits(name));
    const others = this.spots.filter((spot) => !byName.includes(spot) && fits(`${spot.name} ${spot.where}`));
    return Promise.resolve([...byName, ...others].slice(0, MOST_FOUND));
  }
}

/** Without capitals and accents, so that they need not be typed. */
const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
