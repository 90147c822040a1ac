import type { Coordinates } from '../model/place.ts';

/** A round as others read it: a GPX 1.1 route, or GeoJSON (RFC 7946). */

export interface ExportedStop extends Coordinates {
  name: string;
  /** What is to be done there, one a line. */
  titles: readonly string[];
}

const escaped = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    // what no XML document may hold
    .replaceAll(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '');

export function roundAsGpx(name: string, stops: readonly ExportedStop[]): string {
  const points = stops.map(({ lat, lon, name: called, titles }) =>
    [
      `<rtept lat="${lat}" lon="${lon}">`,
      `<name>${escaped(called)}</name>`,
      titles.length > 0 ? `<desc>${escaped(titles.join('\n'))}</desc>` : '',
      '</rtept>',
    ].join(''),
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="Kotiva" xmlns="http://www.topografix.com/GPX/1/1">',
    `<rte><name>${escaped(name)}</name>`,
    ...points,
    '</rte>',
    '</gpx>',
    '',
  ].join('\n');
}

/** The stops as points in their order, and the way between them as a line. */
export function roundAsGeoJson(name: string, stops: readonly ExportedStop[]): string {
  const point = ({ lat, lon }: Coordinates) => [lon, lat];
  const line = { type: 'Feature', properties: { name }, geometry: { type: 'LineString', coordinates: stops.map(point) } };
  const features = stops.map((stop, nth) => ({
    type: 'Feature',
    properties: { order: nth + 1, name: stop.name, items: stop.titles },
    geometry: { type: 'Point', coordinates: point(stop) },
  }));
  return JSON.stringify({ type: 'FeatureCollection', features: stops.length > 1 ? [line, ...features] : features }, null, 1);
}
