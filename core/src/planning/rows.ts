import type { House } from '../model/house.ts';

/** For whom and when: the same question always has the same answer. */
export interface PlanView {
  personId: string;
  /** UTC instant. */
  now: string;
  house: Pick<House, 'zone' | 'dayParts'>;
}
