import { groupsOf, isAwayOn, membersOf, type Reader, type PeopleGroup, type Person } from '@kotiva/core';

/** A group with who of it can be chosen: `there` on that day, and `away`. */
export interface GroupChoice {
  group: PeopleGroup;
  there: Person[];
  away: Person[];
}

/** The groups of the house, each with who of it is there on a day. Empty ones are left out. */
export const groupChoices = (day: string, rows: Reader, without: readonly string[] = []): GroupChoice[] =>
  groupsOf(rows).flatMap((group) => {
    const members = membersOf(group, rows).filter(({ id }) => !without.includes(id));
    const isAway = ({ id }: Person) => isAwayOn(id, day, rows);
    return members.length === 0 ? [] : [{ group, there: members.filter((one) => !isAway(one)), away: members.filter(isAway) }];
  });
