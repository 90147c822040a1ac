import * as z from 'zod/mini';
import { MOST_GROUPS, MOST_IN_GROUP } from '../model/people-group.ts';
import { isHere } from '../model/person.ts';
import { Id, Name } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

const PERSONS = z.array(Id).check(z.maxLength(MOST_IN_GROUP));

/** A name means one: no two groups have it, nor a group and somebody of the house. */
function refuseTaken(name: string, except: string | null, d: Deciding): void {
  const is = (other: { id: string; name: string }) => other.id !== except && other.name.trim().toLowerCase() === name.trim().toLowerCase();
  const taken = d.all('peopleGroup').find((group) => group.removedAt === null && is(group)) ?? d.all('person').find((person) => isHere(person) && is(person));
  if (taken) refuse('name-taken', { name: taken.name }, 'name');
}

const once = (ids: readonly string[], d: Deciding): string[] => [...new Set(ids)].map((id) => needPerson(id, d, 'persons').id);

/** Who is in it now and was not, and the other way round, is told. */
function tell(name: string, before: readonly string[], after: readonly string[], d: Deciding): void {
  for (const id of after) if (!before.includes(id)) d.notify(id, 'group-joined', null, { title: name });
  for (const id of before) if (!after.includes(id)) d.notify(id, 'group-left', null, { title: name });
}

export const makeGroup = commandKind({
  name: 'group.make',
  payload: z.object({ name: Name, persons: PERSONS }),
  asks: () => [{ permission: 'manage' }],
  decide({ name, persons }, d) {
    if (d.all('peopleGroup').filter(({ removedAt }) => removedAt === null).length >= MOST_GROUPS) refuse('too-many', { max: MOST_GROUPS }, 'name');
    refuseTaken(name, null, d);
    const personIds = once(persons, d);
    if (personIds.length === 0) refuse('group-empty', {}, 'persons');
    d.insert('peopleGroup', d.newId(), { name, personIds, createdAt: d.now, removedAt: null });
    tell(name, [], personIds, d);
  },
});

/** Who left the house stays in it unseen, as what they did does. */
export const changeGroup = commandKind({
  name: 'group.change',
  payload: z.object({ group: Id, name: z.optional(Name), persons: z.optional(PERSONS), removed: z.optional(z.boolean()) }),
  asks: () => [{ permission: 'manage' }],
  decide({ group: groupId, name, persons, removed }, d) {
    const group = d.need('peopleGroup', groupId);
    if (name !== undefined || removed === false) refuseTaken(name ?? group.name, groupId, d);
    const personIds = persons && once(persons, d);
    if (personIds?.length === 0) refuse('group-empty', {}, 'persons');
    d.set('peopleGroup', groupId, { name, personIds, removedAt: removed === undefined ? undefined : removed ? (group.removedAt ?? d.now) : null });
    if (personIds && removed !== true) tell(name ?? group.name, group.personIds, personIds, d);
  },
});
