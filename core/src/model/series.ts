import { v5 } from 'uuid';

export type { SaidRule, TurnKind, Missed, Series, Override } from './series-schema.ts';

/** The id of the item an occurrence becomes: two devices that make it make the same. */
export const occurrenceItemId = (seriesId: string, recurrenceId: string): string => v5(recurrenceId, seriesId);
export const overrideId = (seriesId: string, recurrenceId: string): string => v5(`override:${recurrenceId}`, seriesId);
