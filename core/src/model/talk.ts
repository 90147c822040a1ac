import { v5 } from 'uuid';

export type { Matter, Talk, MeetingNote } from './talk-schema.ts';

/** One regular talk for each pair and direction. */
export const talkId = (makerId: string, personId: string): string => v5(`talk:${personId}`, makerId);
