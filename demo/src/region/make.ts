import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawLand, gazetteer } from './land.ts';
import { gpxOf, TRACKS } from './tracks.ts';

const onLines = (collection: object): string => `${JSON.stringify(collection).replaceAll('{"type":"Feature",', '\n{"type":"Feature",')}\n`;

/** Writes the region into a folder: its drawing, what can be found in it, and the tracks of the phones. */
export function makeRegion(into: string): void {
  writeFileSync(join(into, 'map.geojson'), onLines(drawLand()));
  writeFileSync(join(into, 'gazetteer.geojson'), onLines(gazetteer()));
  Object.entries(TRACKS).forEach(([file, track], nth) => writeFileSync(join(into, 'tracks', `${file}.gpx`), gpxOf(track, nth + 1)));
}
