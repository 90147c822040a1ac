import type { Means } from '../model/errand-round.ts';
import type { Coordinates } from '../model/place.ts';
import { distance } from './distance.ts';

/** The way round several places, so that it takes the least time and each is open when one comes. */

/** From and to, in minutes since midnight of that day's wall clock. */
export interface Open {
  from: number;
  to: number;
}

export interface Stop extends Coordinates {
  id: string;
  /** How many things are to be done there. */
  items: number;
  /** Null: nobody said, so at any time. In order, apart. */
  open: readonly Open[] | null;
  /** By when all of it is to be done; minutes since midnight. Null: no matter when. */
  due: number | null;
}

/** Kilometres an hour. */
export const SPEEDS: Record<Means, number> = { walk: 4.5, bike: 14, car: 40 };
/** Ways are longer than the great circle. */
const DETOUR = 1.3;
/** Minutes of a stop, and of each thing done there. */
const STOP_MINUTES = 3;
const ITEM_MINUTES = 2;
/** So many stops are put in order exactly. */
export const MOST_EXACT = 12;

export interface Errand {
  start: Coordinates;
  /** Minutes since midnight. */
  startAt: number;
  /** Null: it ends where the last stop is. */
  end: Coordinates | null;
  means: Means;
  stops: readonly Stop[];
}

export interface Leg {
  stopId: string;
  /** Minutes since midnight: when one is there, when it opens, when one goes on. */
  arrives: number;
  begins: number;
  leaves: number;
}

/** Why a stop is not on the round: not open any more that day, not to be reached in time even straight away, or only in place of others. */
export type WhyNot = 'closed' | 'too-far' | 'not-together';

export interface Round {
  legs: Leg[];
  /** Minutes since midnight. */
  endsAt: number;
  left: { stopId: string; why: WhyNot }[];
  /** False: found by trying, not proved to be the least. */
  exact: boolean;
}

/** Minutes from one position to another. */
export const travelMinutes = (from: Coordinates, to: Coordinates, means: Means): number => ((distance(from, to) / 1000) * DETOUR * 60) / SPEEDS[means];

export const stopMinutes = ({ items }: Pick<Stop, 'items'>): number => STOP_MINUTES + ITEM_MINUTES * items;

/** When one can begin at a stop one comes to at some minute, so that all is done before it closes and is due. Null: not that day. */
function beginsAt(stop: Stop, arrives: number): number | null {
  const needs = stopMinutes(stop);
  const until = stop.due ?? Number.POSITIVE_INFINITY;
  for (const { from, to } of stop.open ?? [{ from: 0, to: Number.POSITIVE_INFINITY }]) {
    const begins = Math.max(arrives, from);
    if (begins + needs <= Math.min(to, until)) return begins;
  }
  return null;
}

/** A round in a given order; null: one of the stops can't be made in it. */
export function walkRound(errand: Errand, order: readonly Stop[]): Pick<Round, 'legs' | 'endsAt'> | null {
  let [at, here]: [number, Coordinates] = [errand.startAt, errand.start];
  const legs: Leg[] = [];
  for (const stop of order) {
    const arrives = at + travelMinutes(here, stop, errand.means);
    const begins = beginsAt(stop, arrives);
    if (begins === null) return null;
    at = begins + stopMinutes(stop);
    here = stop;
    legs.push({ stopId: stop.id, arrives, begins, leaves: at });
  }
  return { legs, endsAt: errand.end ? at + travelMinutes(here, errand.end, errand.means) : at };
}

/** The most stops that can be made that day, in the order that ends first. */
export function bestRound(errand: Errand): Round {
  const exact = errand.stops.length <= MOST_EXACT;
  const order = exact ? exactOrder(errand) : triedOrder(errand);
  const { legs, endsAt } = walkRound(errand, order)!;
  const made = new Set(order.map(({ id }) => id));
  return { legs, endsAt, exact, left: errand.stops.filter(({ id }) => !made.has(id)).map((stop) => ({ stopId: stop.id, why: whyNot(stop, errand) })) };
}

function whyNot(stop: Stop, { start, startAt, means }: Errand): WhyNot {
  if (beginsAt(stop, startAt) === null) return 'closed';
  return beginsAt(stop, startAt + travelMinutes(start, stop, means)) === null ? 'too-far' : 'not-together';
}

/**
 * Held and Karp, with hours: of each set of stops and its last the earliest one can leave. To be there earlier never makes anything later,
 * since one can wait; so nothing but the earliest has to be kept.
 */
function exactOrder(errand: Errand): Stop[] {
  const { stops, start, startAt, end, means } = errand;
  const count = stops.length;
  const leaves = new Float64Array((1 << count) * count).fill(Number.POSITIVE_INFINITY);
  const before = new Int8Array((1 << count) * count).fill(-1);
  const between = stops.map((from) => stops.map((to) => travelMinutes(from, to, means)));
  const arrive = (set: number, last: number, from: number, arrives: number) => {
    const begins = beginsAt(stops[last]!, arrives);
    const at = set * count + last;
    if (begins === null || begins + stopMinutes(stops[last]!) >= leaves[at]!) return;
    leaves[at] = begins + stopMinutes(stops[last]!);
    before[at] = from;
  };
  stops.forEach((stop, nth) => arrive(1 << nth, nth, -1, startAt + travelMinutes(start, stop, means)));
  const best = { set: 0, last: -1, many: 0, ends: Number.POSITIVE_INFINITY };
  for (let set = 1; set < 1 << count; set++) {
    for (let last = 0; last < count; last++) {
      const left = leaves[set * count + last]!;
      if (left === Number.POSITIVE_INFINITY) continue;
      const ends = end ? left + travelMinutes(stops[last]!, end, means) : left;
      const many = bits(set);
      if (many > best.many || (many === best.many && ends < best.ends)) Object.assign(best, { set, last, many, ends });
      for (let next = 0; next < count; next++) if (!(set & (1 << next))) arrive(set | (1 << next), next, last, left + between[last]![next]!);
    }
  }
  return orderTo(best.set, best.last, before, stops);
}

function orderTo(set: number, last: number, before: Int8Array, stops: readonly Stop[]): Stop[] {
  const order: Stop[] = [];
  for (let [left, at] = [set, last]; at >= 0;) {
    order.unshift(stops[at]!);
    const from = before[left * stops.length + at]!;
    left &= ~(1 << at);
    at = from;
  }
  return order;
}

function bits(set: number): number {
  let many = 0;
  for (let left = set; left; left &= left - 1) many += 1;
  return many;
}

/** More than can be proved: as they were given if that can be walked, else built up; then bettered. Whichever of the two ends better. */
function triedOrder(errand: Errand): Stop[] {
  const starts = [builtUp(errand), ...(walkRound(errand, errand.stops) ? [[...errand.stops]] : [])];
  const tried = starts.map((order) => bettered(errand, order));
  const ends = (order: readonly Stop[]) => walkRound(errand, order)!.endsAt;
  return tried.sort((a, b) => b.length - a.length || ends(a) - ends(b))[0]!;
}

/** Each put where it costs least, those that close first before the others. */
function builtUp(errand: Errand): Stop[] {
  let order: Stop[] = [];
  for (const stop of [...errand.stops].sort((a, b) => lastMoment(a) - lastMoment(b))) order = cheapest(errand, order, stop) ?? order;
  return order;
}

/** Moved and turned round, with what was left out tried again, until nothing helps. */
function bettered(errand: Errand, from: Stop[]): Stop[] {
  let order = from;
  for (let better = true; better;) {
    better = false;
    const now = walkRound(errand, order)!.endsAt;
    for (const tried of neighbours(order)) {
      const round = walkRound(errand, tried);
      if (!round || round.endsAt >= now - 1e-9) continue;
      order = tried;
      better = true;
      break;
    }
    if (better) continue;
    for (const stop of errand.stops) {
      if (order.includes(stop)) continue;
      const more = cheapest(errand, order, stop);
      if (!more) continue;
      order = more;
      better = true;
    }
  }
  return order;
}

const lastMoment = ({ open, due }: Stop): number => Math.min(open?.at(-1)?.to ?? Number.POSITIVE_INFINITY, due ?? Number.POSITIVE_INFINITY);

function cheapest(errand: Errand, order: readonly Stop[], stop: Stop): Stop[] | null {
  let best: { order: Stop[]; ends: number } | null = null;
  for (let nth = 0; nth <= order.length; nth++) {
    const tried = [...order.slice(0, nth), stop, ...order.slice(nth)];
    const round = walkRound(errand, tried);
    if (round && (!best || round.endsAt < best.ends)) best = { order: tried, ends: round.endsAt };
  }
  return best?.order ?? null;
}

/** Every part of it turned round, and every stop put anywhere else. */
function* neighbours(order: readonly Stop[]): Generator<Stop[]> {
  for (let from = 0; from < order.length; from++) {
    for (let to = from + 1; to < order.length; to++) yield [...order.slice(0, from), ...order.slice(from, to + 1).reverse(), ...order.slice(to + 1)];
    const without = [...order.slice(0, from), ...order.slice(from + 1)];
    for (let to = 0; to <= without.length; to++) if (to !== from) yield [...without.slice(0, to), order[from]!, ...without.slice(to)];
  }
}
