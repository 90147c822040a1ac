import { isHere, isPlaceAlarm, onArriving, type MemoryRows } from '@kotiva/core';
import { given, openItems, withOne, type Doing } from './doing.ts';

const places = (rows: MemoryRows) => rows.all('place').filter((place) => !place.removedAt);
const people = (rows: MemoryRows) => rows.all('person').filter(isHere);

/** What people do at random with places: come and go, let others see them, be reminded there, go on a round. */
export const PLACE_DOINGS: [number, Doing][] = [
  [1, (e, r, rows) => given(e.give('place.make', { name: `Place ${r.below(50)}`, seenBy: r.chance(0.4) ? [r.pick(people(rows))!.id] : null }))],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(places(rows)), (place) =>
        e.give('place.change', {
          place: place.id,
          ...(r.chance(0.3) ? { removed: true } : { seenBy: r.chance(0.5) ? [r.pick(people(rows))!.id] : null }),
        }),
      ),
  ],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) => e.give('item.change', { item: item.id, place: r.chance(0.7) ? (r.pick(places(rows))?.id ?? null) : null })),
  ],
  [
    3,
    (e, r, rows) =>
      withOne(r.pick(places(rows)), (place) =>
        e.give('visit.report', { place: place.id, on: r.pick(['enter', 'leave'] as const)!, at: new Date().toISOString(), silent: r.chance(0.3) }),
      ),
  ],
  [
    2,
    (e, r, rows) =>
      withOne(r.pick(openItems(rows)), (item) =>
        withOne(r.pick(places(rows)), ({ id: place }) => {
          const among = [...new Set([r.pick(people(rows))!.id, r.pick(people(rows))!.id])];
          const own = onArriving(place, r.pick(['enter', 'leave'] as const)!);
          const shared = { ...own, who: own.on === 'enter' ? ('first' as const) : ('last' as const), among };
          return e.give('alarm.set', { item: item.id, trigger: r.chance(0.5) ? own : shared, everyTime: r.chance(0.2) });
        }),
      ),
  ],
  [
    1,
    (e, r, rows) => withOne(r.pick(rows.all('alarm').filter(isPlaceAlarm)), (alarm) => e.give('alarm.snooze', { alarm: alarm.id, place: alarm.trigger.place })),
  ],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(places(rows)), (place) =>
        withOne(r.pick(openItems(rows)), (item) =>
          e.give('round.start', { date: '2026-11-24', means: 'car', startId: null, endId: null, stops: [{ place: place.id, items: [item.id] }] }),
        ),
      ),
  ],
  [
    1,
    (e, r, rows) =>
      withOne(r.pick(rows.all('errandRound')), (round) =>
        r.chance(0.5)
          ? e.give('round.handOver', { round: round.id, person: r.pick(people(rows))!.id })
          : e.give('round.change', { round: round.id, ended: true }),
      ),
  ],
];
