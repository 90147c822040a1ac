import type { Alarm, PlaceTrigger } from './alarm-schema.ts';

export type { Anchor, PlaceTrigger, Trigger, Alarm } from './alarm-schema.ts';

/** The plainest of them: for whose reminder it is, on coming, at any hour. */
export const onArriving = (place: string, on: PlaceTrigger['on'] = 'enter'): PlaceTrigger => ({
  kind: 'place',
  place,
  on,
  who: 'own',
  among: [],
  from: null,
  until: null,
  days: null,
  fallback: null,
});

/** When and for whom one at a place rang says who was there: of these only whoever it rings for alone may know. */
export const PRIVATE_ALARM_FIELDS = ['rungFor', 'rungById'] as const satisfies readonly (keyof Alarm)[];

/** So many for one person on one item are plenty. */
export const MOST_ALARMS = 20;
