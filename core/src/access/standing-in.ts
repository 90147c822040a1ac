import type { Person } from '../model/person.ts';
import type { Finding } from '../reader/finding.ts';

/** Whom somebody was named to stand in for: what these gave is in their sight. Which days that is for says {@link actsFor}. */
export const namedBy = (person: Pick<Person, 'id'>, d: Pick<Finding, 'by'>): ReadonlySet<string> =>
  new Set(d.by('timeAway', 'standInId', person.id).flatMap(({ personId, removedAt }) => (removedAt === null ? [personId] : [])));

/** Whether somebody stands in for another on a day. */
export const standsInOn = (date: string, standInId: string, personId: string, d: Pick<Finding, 'by'>): boolean =>
  d.by('timeAway', 'standInId', standInId).some((away) => away.personId === personId && away.removedAt === null && away.from <= date && date <= away.to);
