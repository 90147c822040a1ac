import { v5 } from 'uuid';

export type { Guest } from './guest-schema.ts';

export const guestId = (itemId: string, personId: string): string => v5(`guest:${personId}`, itemId);
