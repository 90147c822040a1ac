import type { Fix } from '@kotiva/core';

export interface NamedTrack {
  name: string;
  fixes: Fix[];
}

/** Metres of one step of dilution, where a track says no more of its accuracy (GPX `hdop`). */
const METRES_PER_HDOP = 5;
const USUAL_ACCURACY = 10;

/** The points of a GPX track that have a time, in the order of their times; null: that is no GPX, or has no two of them. */
export function readGpx(text: string, fallbackName: string): NamedTrack | null {
  const gpx = new DOMParser().parseFromString(text, 'application/xml');
  if (gpx.querySelector('parsererror')) return null;
  const fixes = [...gpx.querySelectorAll('trkpt')].flatMap((point): Fix[] => {
    const at = Date.parse(point.querySelector('time')?.textContent ?? '');
    const [lat, lon] = [Number(point.getAttribute('lat')), Number(point.getAttribute('lon'))];
    const hdop = Number(point.querySelector('hdop')?.textContent ?? Number.NaN);
    const accuracy = Number.isFinite(hdop) ? hdop * METRES_PER_HDOP : USUAL_ACCURACY;
    return Number.isFinite(at) && Math.abs(lat) <= 90 && Math.abs(lon) <= 180 ? [{ at, lat, lon, accuracy }] : [];
  });
  if (fixes.length < 2) return null;
  return { name: gpx.querySelector('trk > name')?.textContent?.trim() || fallbackName, fixes: fixes.sort((a, b) => a.at - b.at) };
}
