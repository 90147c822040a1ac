import { v5 } from 'uuid';

export type { Capacity } from './capacity-schema.ts';

export const capacityId = (personId: string): string => v5('capacity', personId);
