import { judge, sayHere, type Fix, type Judged, type Geofence, type Visits } from '../../../../core/src/places/visits.ts';

/** One look to be judged, or a place said by hand; `place` null: at none. */
export type VisitsAsked = { visits: Visits; spots: readonly Geofence[] } & ({ fix: Fix } | { place: string | null; at: number });

export const answerVisits = (asked: VisitsAsked): Judged =>
  'fix' in asked ? judge(asked.visits, asked.fix, asked.spots) : sayHere(asked.visits, asked.place, asked.at, asked.spots);
