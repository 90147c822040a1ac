import * as z from 'zod/mini';
import { INVITATION_DAYS, invitationClosed, type Invitation } from '../model/invitation.ts';
import { InvitedList } from '../model/invitation-schema.ts';
import { isHere, NO_CONTACT, USUAL_REST, type Person } from '../model/person.ts';
import { Address, Colour, ContactWords, Mark, Pattern, Phone, Role } from '../model/person-schema.ts';
import { Id, Name } from '../model/row-schema.ts';
import type { Part } from '../model/part.ts';
import { openParts } from '../followup/standing.ts';
import { YES } from '../model/nouns.ts';
import { calendarDateOf, epochOf, instantOf } from '../time/clock.ts';
import { choresOnlyOf } from '../recurrence/going-on.ts';
import { linksKnownTo } from '../access/known-links.ts';
import { endToday } from './chore-ends.ts';
import { notifyingOfCompletion } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind, SLICE } from './kind.ts';
import { relationsToItem } from '../access/relations.ts';
import { putShare } from './lists.ts';
import { givePart, hasCountingPart, needPerson, partId, settleNobody } from './parts.ts';
import { refuse } from './reasons.ts';

/** How somebody is reached beside the application. */
const CONTACT = { email: z.optional(z.nullable(Address)), phone: z.optional(z.nullable(Phone)), contact: z.optional(ContactWords) };
const LOOKS = { name: Name, mark: Mark, colour: Colour, pattern: Pattern };

function refuseTakenMark(mark: string, except: string | null, d: Deciding): void {
  const taken = d.all('person').find((person) => isHere(person) && person.id !== except && person.mark.toLowerCase() === mark.toLowerCase());
  if (taken) refuse('mark-taken', { mark, name: taken.name }, 'mark');
}

const managersBut = (id: string, d: Deciding): number =>
  d.all('person').filter((person) => isHere(person) && person.role === 'manager' && person.id !== id).length;

/** Somebody without an account: a name to hand things to and wait for. */
export const addPerson = commandKind({
  name: 'person.add',
  payload: z.object({ ...LOOKS, ...CONTACT }),
  asks: () => [{ permission: 'manage' }],
  decide({ email, phone, contact: words, ...looks }, d) {
    const contact = { email: email ?? null, phone: phone ?? null, contact: words ?? '' };
    refuseTakenMark(looks.mark, null, d);
    d.insert('person', d.newId(), { ...looks, accountId: null, role: 'outside', ...contact, rest: USUAL_REST, joinedAt: d.now, endedAt: null });
    d.enter('person.add', {}, { name: looks.name });
  },
});

export const changePerson = commandKind({
  name: 'person.change',
  payload: z.object({ person: Id, name: z.optional(Name), mark: z.optional(Mark), colour: z.optional(Colour), pattern: z.optional(Pattern), ...CONTACT }),
  asks: ({ person }, d) => [person === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'manage' }],
  decide({ person: personId, ...fields }, d) {
    d.need('person', personId);
    if (fields.mark !== undefined) refuseTakenMark(fields.mark, personId, d);
    d.set('person', personId, fields);
  },
});

export const setRole = commandKind({
  name: 'person.setRole',
  payload: z.object({ person: Id, role: Role }),
  asks: () => [{ permission: 'manage' }],
  decide({ person: personId, role }, d) {
    const person = d.need('person', personId);
    if (person.role === 'manager' && role !== 'manager' && managersBut(personId, d) === 0) refuse('last-manager', { name: person.name }, 'role');
    if (role === 'outside' && person.accountId) refuse('has-account', { name: person.name }, 'role');
    if (role !== 'outside' && !person.accountId) refuse('role-outside', { name: person.name }, 'role');
    d.set('person', personId, { role });
    d.enter('person.setRole', {}, { name: person.name, role });
  },
});

/** A manager looks at what somebody sees: nothing is changed by it, and who is looked at reads that they were. Managers are not looked at. */
export const lookAsPerson = commandKind({
  name: 'person.lookAs',
  payload: z.object({ person: Id }),
  asks: () => [{ permission: 'manage' }],
  decide({ person: personId }, d) {
    const person = d.need('person', personId);
    if (!isHere(person)) refuse('person-left', { name: person.name });
    if (person.role === 'manager') refuse('manager-unseen', { name: person.name });
    d.enter('person.lookAs', {}, { person: person.id, name: person.name });
  },
});

/** Ends someone's access. Every open part of theirs needs a word: a person, nobody, or later. Their name stays on what they did. */
export const endPerson = commandKind({
  name: 'person.end',
  payload: z.object({
    person: Id,
    parts: z._default(z.array(z.object({ item: Id, to: z.union([Id, z.literal('nobody'), z.literal('later')]) })).check(z.maxLength(20_000)), []),
    /** Links for several people that they know, and that stay good for others. */
    keepLinks: z._default(z.array(Id).check(z.maxLength(100)), []),
    follows: SLICE,
  }),
  asks: ({ person }, d) => [person === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'manage' }],
  decide({ person: personId, parts, keepLinks, follows }, d) {
    const person = d.need('person', personId);
    if (!isHere(person)) refuse('person-left', { name: person.name });
    if (person.role === 'manager' && managersBut(personId, d) === 0) refuse('last-manager', { name: person.name });
    const open = openPartsOf(personId, d);
    const decided = new Map(parts.map(({ item, to }) => [item, to]));
    if (d.context.slice) {
      for (const itemId of open) if (decided.has(itemId)) settlePart(itemId, person, decided.get(itemId)!, d);
      if (follows) passFollowUp(follows.map((id) => d.need('part', id)), person, d); // prettier-ignore
      return;
    }
    // what who ends the access can't see, they can't decide: it waits for whoever gave it
    const undecided = open.filter((itemId) => !decided.has(itemId) && sees(d.actor, itemId, d));
    if (undecided.length > 0) refuse('open-parts', { name: person.name, count: undecided.length });
    for (const itemId of open) settlePart(itemId, person, decided.get(itemId) ?? 'later', d);
    endToday(choresOnlyOf(personId, calendarDateOf(d.now, d.house.zone), d), d);
    passFollowUp(d.by('part', 'open', YES), person, d);
    leaveLists(person, heirOf(person, d), d);
    withdrawLinksOf(person, keepLinks, d);
    d.set('person', personId, { endedAt: d.now });
    d.enter('person.end', {}, { name: person.name });
  },
});

/** What they could come back by. A link for several may stay for the others, if a manager says so: it lets them in no more. */
function withdrawLinksOf(person: Person, kept: readonly string[], d: Deciding): void {
  const leaves = d.actor.id === person.id;
  for (const { id, uses } of linksKnownTo(person, d.now, d)) {
    const stays = uses === 'several' && (leaves || kept.includes(id));
    if (!stays) d.set('invitation', id, { withdrawnAt: d.now });
  }
}

/** Items a person still has in hand. */
function openPartsOf(personId: string, d: Deciding): string[] {
  const isRemoved = (itemId: string) => (d.find('item', itemId)?.removedAt ?? null) !== null;
  return openParts(d.by('part', 'open', YES))
    .filter((part) => part.personId === personId && !isRemoved(part.itemId))
    .map((part) => part.itemId);
}

function settlePart(itemId: string, person: Person, to: string, d: Deciding): void {
  if (to === 'later') return;
  const item = d.need('item', itemId);
  notifyingOfCompletion(item, d, () => {
    const part = d.need('part', partId(itemId, person.id));
    if (to === 'nobody') {
      d.set('part', part.id, { takenBackAt: d.now });
      settleNobody(itemId, d);
      return;
    }
    const next = needPerson(to, d, 'parts');
    d.set('part', part.id, { passedTo: next.id, standing: part.standing === 'declined' ? 'declined' : 'delegated' });
    if (!hasCountingPart(itemId, next.id, d)) givePart(itemId, next, d, part.message, d.actor.id);
    d.notify(next.id, 'handed', itemId, { title: item.title, message: part.message });
  });
}

const sees = (person: Person, itemId: string, d: Deciding): boolean => relationsToItem(d.need('item', itemId), person, d).length > 0;

/** Who takes over from somebody who goes: whoever ends their access, else a manager. */
const heirOf = (person: Person, d: Deciding): Person | undefined =>
  d.actor.id !== person.id ? d.actor : d.all('person').find((other) => isHere(other) && other.role === 'manager' && other.id !== person.id);

/** What they handed to others and what they left undecided is followed by their heir from now on, as far as the heir can see it. */
function passFollowUp(parts: readonly Part[], person: Person, d: Deciding): void {
  const heir = heirOf(person, d);
  if (!heir) return;
  for (const part of openParts(parts)) {
    if (part.originId === person.id && sees(heir, part.itemId, d)) d.set('part', part.id, { originId: heir.id });
  }
}

/** Shared lists of somebody who goes stay with their heir; what was theirs alone stays unseen. */
function leaveLists(person: Person, heir: Person | undefined, d: Deciding): void {
  for (const list of d.all('list')) {
    const shares = d.by('share', 'listId', list.id);
    for (const share of shares) if (share.personId === person.id) d.set('share', share.id, { access: null });
    const shared = shares.some((share) => share.access !== null && share.personId !== person.id);
    if (list.ownerId === person.id && shared && heir) d.set('list', list.id, { ownerId: heir.id });
  }
}

export const makeInvitation = commandKind({
  name: 'invitation.make',
  payload: z.object({
    role: z.enum(['manager', 'member', 'helper']),
    lists: z._default(z.array(InvitedList).check(z.maxLength(100)), []),
    uses: z.enum(['one', 'several']),
    token: z.string().check(z.regex(/^[A-Za-z0-9_-]{32,64}$/)),
  }),
  asks: ({ lists }) => [{ permission: 'manage' }, ...lists.map(({ listId }) => ({ permission: 'share', list: listId }) as const)],
  decide({ role, lists, uses, token }, d) {
    const expiresAt = instantOf(epochOf(d.now) + INVITATION_DAYS * 86_400_000);
    d.insert('invitation', d.newId(), { makerId: d.actor.id, role, lists, uses, token, madeAt: d.now, expiresAt, withdrawnAt: null, joined: [] });
    d.enter('invitation.make', {}, { role });
  },
});

/** The link no longer opens anything; who joined by it stays. */
export const withdrawInvitation = commandKind({
  name: 'invitation.withdraw',
  payload: z.object({ invitation: Id }),
  asks: () => [{ permission: 'manage' }],
  decide({ invitation }, d) {
    const { withdrawnAt } = d.need('invitation', invitation);
    if (!withdrawnAt) d.set('invitation', invitation, { withdrawnAt: d.now });
  },
});

/** An account becomes a person of the house, with the role and lists the invitation names. */
export const join = commandKind({
  name: 'person.join',
  payload: z.object({ token: z.string(), ...LOOKS }),
  asks: () => [{ permission: 'enter' }],
  decide({ token, ...looks }, d) {
    const { account } = d.context;
    if (!account) refuse('not-a-member');
    const invitation = d.by('invitation', 'token', token)[0] ?? refuse('invitation-unknown');
    const closed = invitationClosed(invitation, d.now);
    if (closed) refuse(`invitation-${closed}`);
    const known = d.by('person', 'accountId', account.id)[0];
    if (known && isHere(known)) refuse('already-member');
    // whose access was ended comes back by a link made since, which a manager gives them
    if (known?.endedAt && invitation.madeAt <= known.endedAt) refuse('ask-manager');
    refuseTakenMark(looks.mark, known?.id ?? null, d);
    const person = known
      ? d.set('person', known.id, { ...looks, role: invitation.role, endedAt: null })
      : d.insert('person', d.newId(), {
          ...looks,
          accountId: account.id,
          role: invitation.role,
          ...NO_CONTACT,
          rest: USUAL_REST,
          joinedAt: d.now,
          endedAt: null,
        });
    openInvitedLists(invitation, person, d);
    d.set('invitation', invitation.id, { joined: [...invitation.joined, person.id] });
    d.enter('person.join', {}, { name: looks.name });
  },
});

function openInvitedLists(invitation: Invitation, person: Person, d: Deciding): void {
  for (const { listId, access } of invitation.lists) {
    const list = d.find('list', listId);
    if (list && !list.removedAt) putShare(listId, person.id, access, d);
  }
}
