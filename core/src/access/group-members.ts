import type { PeopleGroup } from '../model/people-group.ts';
import { isHere, type Person } from '../model/person.ts';
import type { Rows } from '../reader/finding.ts';

/** Those of a group who are of the house still, in the order they were put in. */
export const membersOf = ({ personIds }: Pick<PeopleGroup, 'personIds'>, rows: Pick<Rows, 'find'>): Person[] =>
  personIds.map((id) => rows.find('person', id)).filter((person): person is Person => person !== undefined && isHere(person));

/** The groups of the house that somebody is in, by name. */
export const groupsOf = (rows: Pick<Rows, 'all' | 'find'>): PeopleGroup[] =>
  rows
    .all('peopleGroup')
    .filter((group) => group.removedAt === null && membersOf(group, rows).length > 0)
    .sort((a, b) => a.name.localeCompare(b.name));
