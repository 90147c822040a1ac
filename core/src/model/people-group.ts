import type { PeopleGroup } from './people-group-schema.ts';
import { isHere, type Person } from './person.ts';

export type { PeopleGroup } from './people-group-schema.ts';

export const MOST_GROUPS = 50;
export const MOST_IN_GROUP = 60;

interface GroupRows {
  all(noun: 'peopleGroup'): PeopleGroup[];
  get(noun: 'person', id: string): Person | 'absent' | 'not-held';
}

/** Those of a group who are of the house still, in the order they were put in. */
export const membersOf = ({ personIds }: Pick<PeopleGroup, 'personIds'>, rows: Pick<GroupRows, 'get'>): Person[] =>
  personIds.map((id) => rows.get('person', id)).filter((person): person is Person => typeof person !== 'string' && isHere(person));

/** The groups of the house that somebody is in, by name. */
export const groupsOf = (rows: GroupRows): PeopleGroup[] =>
  rows
    .all('peopleGroup')
    .filter((group) => group.removedAt === null && membersOf(group, rows).length > 0)
    .sort((a, b) => a.name.localeCompare(b.name));
