export type { PeopleGroup } from './people-group-schema.ts';

export const MOST_GROUPS = 50;
export const MOST_IN_GROUP = 60;
