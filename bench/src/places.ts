import { bestRound, distance, judge, NO_VISITS, stopMinutes, walkRound, type Errand, type Fix, type Coordinates, type Geofence, type Stop } from '@kotiva/core';
import { percentile, report } from './report.ts';

const MIDDLE = { lat: 62.3, lon: 27.1 };
const PLACES = 100;
const FIXES = 20_000;
const ROUNDS = 7;
/** Figures that look like chance and are the same every time. */
const chance = (nth: number, step: number): number => ((nth * step) % 1000) / 1000 - 0.5;
const around = (nth: number, degrees: number): Coordinates => ({
  lat: MIDDLE.lat + chance(nth, 377) * degrees,
  lon: MIDDLE.lon + chance(nth, 613) * degrees * 2,
});

/** Looks judged a second against 100 places, beside nothing but their distances. */
export function geofenceFixesPerSecond(): void {
  const spots: Geofence[] = Array.from({ length: PLACES }, (_, nth) => ({ id: `p${nth}`, ...around(nth, 0.2), radius: 50 + (nth % 10) * 20 }));
  const fixes: Fix[] = Array.from({ length: FIXES }, (_, nth) => ({ at: nth * 40_000, ...around(nth, 0.2), accuracy: 10 }));
  const perSecond = (task: () => void): number => {
    task();
    const from = performance.now();
    task();
    return (FIXES / (performance.now() - from)) * 1000;
  };
  const judged = perSecond(() => {
    let visits = NO_VISITS;
    for (const fix of fixes) visits = judge(visits, fix, spots).visits;
  });
  let sum = 0;
  const measured = perSecond(() => {
    for (const fix of fixes) for (const spot of spots) sum += distance(fix, spot);
  });
  report('geofence_fixes_per_s', judged, 'looks/s', sum > 0 ? measured : Number.NaN);
}

/** A round of stops, some with hours, one with a deadline; beside the order of always going to the nearest next. */
function errandOf(count: number): Errand {
  const stops = Array.from({ length: count }, (_, nth): Stop => ({
    id: `s${nth}`,
    ...around(nth + 7, 0.12),
    items: 1 + (nth % 4),
    open: nth % 3 === 0 ? [{ from: 9 * 60, to: 17 * 60 + nth * 5 }] : null,
    due: nth === 4 ? 15 * 60 : null,
  }));
  return { start: MIDDLE, startAt: 12 * 60, end: MIDDLE, means: 'car', stops };
}

function nearestNext({ start, stops }: Errand): Stop[] {
  const order: Stop[] = [];
  for (let here: Coordinates = start; order.length < stops.length; here = order.at(-1)!)
    order.push(stops.filter((stop) => !order.includes(stop)).sort((a, b) => distance(here, a) - distance(here, b))[0]!);
  return order;
}

export function errandRoundMs(): void {
  for (const count of [8, 10, 12]) {
    const errand = errandOf(count);
    const times = (task: () => unknown) =>
      Array.from({ length: ROUNDS }, () => {
        const from = performance.now();
        task();
        return performance.now() - from;
      });
    const exact = percentile(
      times(() => bestRound(errand)),
      0.5,
    );
    const greedy = percentile(
      times(() => walkRound(errand, nearestNext(errand))),
      0.5,
    );
    report(`errand_round_ms_${count}`, exact, 'ms', greedy);
  }
  const errand = errandOf(12);
  const busy = errand.stops.reduce((sum, stop) => sum + stopMinutes(stop), 0);
  const under = (endsAt: number): number => endsAt - errand.startAt - busy;
  report('errand_round_gain', under(bestRound(errand).endsAt), 'min under way', under(walkRound(errand, nearestNext(errand))?.endsAt ?? Number.NaN));
}
