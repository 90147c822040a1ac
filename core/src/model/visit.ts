import type { Visit } from './visit-schema.ts';
import { v5 } from 'uuid';

export type { Visit } from './visit-schema.ts';

export const visitId = (personId: string, placeId: string): string => v5(`visit:${placeId}`, personId);

/** As far as is known. */
export const isThere = ({ enteredAt, leftAt }: Pick<Visit, 'enteredAt' | 'leftAt'>): boolean => enteredAt !== null && (leftAt === null || leftAt < enteredAt);

/** The later of coming and leaving; null: forgotten. */
export const lastCrossed = ({ enteredAt, leftAt }: Pick<Visit, 'enteredAt' | 'leftAt'>): string | null =>
  enteredAt === null || (leftAt !== null && leftAt > enteredAt) ? leftAt : enteredAt;
