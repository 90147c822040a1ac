import { v5 } from 'uuid';

export type { Project, Membership } from './project-schema.ts';

export const MOST_PROJECTS = 300;

/** One for each pair, whoever makes it. */
export const membershipId = (projectId: string, memberId: string): string => v5(`member:${memberId}`, projectId);
