import { invitationClosed, type Invitation } from '../model/invitation.ts';
import type { Person } from '../model/person.ts';
import type { Reader } from '../reader/reader.ts';

/** Invitations somebody knows the link of: made by them, or come by; managers see them all. Only those that still let anybody in. */
export const linksKnownTo = (person: Pick<Person, 'id' | 'role'>, now: string, rows: Pick<Reader, 'all'>): Invitation[] =>
  rows.all('invitation').filter((one) => {
    const isKnown = person.role === 'manager' || one.makerId === person.id || one.joined.includes(person.id);
    return isKnown && invitationClosed(one, now) === null;
  });
