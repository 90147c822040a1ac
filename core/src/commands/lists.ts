import * as z from 'zod/mini';
import { shareId } from '../model/list.ts';
import { Access, ListIcon, ListKind, Purpose } from '../model/list-schema.ts';
import { Colour } from '../model/person-schema.ts';
import { Id, Name } from '../model/row-schema.ts';
import { calendarDateOf } from '../time/clock.ts';
import { choresOfList } from '../recurrence/going-on.ts';
import { endToday, resumeWith } from './chore-ends.ts';
import type { Deciding } from './deciding.ts';
import { commandKind, SLICE } from './kind.ts';
import { needPerson } from './parts.ts';
import { keyAtEnd, keyBeside, type Neighbours } from '../model/position.ts';
import { openItems } from '../planning/in-play.ts';
import { notifyRemoved } from './removal-notices.ts';
import { refuse } from './reasons.ts';

const NEIGHBOURS = { after: z.optional(z.nullable(Id)), before: z.optional(z.nullable(Id)) };

export function putShare(listId: string, personId: string, access: Access | null, d: Deciding): void {
  const id = shareId(listId, personId);
  if (d.find('share', id)) d.set('share', id, { access });
  else if (access !== null) d.insert('share', id, { listId, personId, access });
}

const ownBundle = ({ bundle }: { bundle: string }, d: Deciding) =>
  d.find('bundle', bundle)?.ownerId === d.actorOrNull?.id ? ({ permission: 'self', is: true } as const) : ({ permission: 'manage' } as const);

export const makeBundle = commandKind({
  name: 'bundle.make',
  payload: z.object({
    name: Name,
    purpose: z._default(Purpose, ''),
    colour: z._default(Colour, 'graphite'),
    icon: z._default(ListIcon, 'package'),
    /** Lists that go into it at once. */
    lists: z._default(z.array(Id).check(z.maxLength(200)), []),
  }),
  asks: ({ lists }) => [{ permission: 'keep' }, ...lists.map((list) => ({ permission: 'share', list }) as const)],
  decide({ lists, ...looks }, d) {
    const { id: bundleId } = d.insert('bundle', d.newId(), { ...looks, ownerId: d.actor.id, position: keyAtEnd(d.all('bundle')), removedAt: null });
    for (const list of lists) d.set('list', list, { bundleId });
  },
});

export const changeBundle = commandKind({
  name: 'bundle.change',
  payload: z.object({ bundle: Id, name: z.optional(Name), purpose: z.optional(Purpose), colour: z.optional(Colour), icon: z.optional(ListIcon) }),
  asks: (payload, d) => [ownBundle(payload, d)],
  decide: ({ bundle, ...looks }, d) => void d.set('bundle', bundle, looks),
});

/** The lists in it stay, unbundled. */
export const removeBundle = commandKind({
  name: 'bundle.remove',
  payload: z.object({ bundle: Id }),
  asks: (payload, d) => [ownBundle(payload, d)],
  decide({ bundle }, d) {
    d.set('bundle', bundle, { removedAt: d.now });
    for (const list of d.by('list', 'bundleId', bundle)) d.set('list', list.id, { bundleId: null });
  },
});

export const makeList = commandKind({
  name: 'list.make',
  payload: z.object({
    name: Name,
    purpose: z._default(Purpose, ''),
    colour: Colour,
    icon: ListIcon,
    kind: z._default(ListKind, 'working'),
    bundle: z.optional(z.nullable(Id)),
    sections: z._default(z.array(Name).check(z.maxLength(50)), []),
    shares: z._default(z.array(z.object({ person: Id, access: Access })), []),
  }),
  asks: () => [{ permission: 'keep' }],
  decide({ name, purpose, colour, icon, kind, bundle, sections, shares }, d) {
    const listId = d.newId();
    const bundleId = bundle && d.find('bundle', bundle) ? bundle : null;
    d.insert('list', listId, {
      ownerId: d.actor.id,
      bundleId,
      name,
      purpose,
      colour,
      icon,
      kind,
      stages: [],
      position: keyAtEnd(d.all('list')),
      filedAt: null,
      clearedAt: null,
      removedAt: null,
    });
    for (const section of sections) insertSection(listId, section, d);
    for (const { person, access } of shares) shareWith(listId, person, access, d);
    d.enter('list.make', { listId }, { name });
  },
});

export const changeList = commandKind({
  name: 'list.change',
  payload: z.object({
    list: Id,
    name: z.optional(Name),
    purpose: z.optional(Purpose),
    colour: z.optional(Colour),
    icon: z.optional(ListIcon),
    kind: z.optional(ListKind),
    bundle: z.optional(z.nullable(Id)),
    after: NEIGHBOURS.after,
    before: NEIGHBOURS.before,
  }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide({ list: listId, bundle, after, before, ...fields }, d) {
    const list = d.need('list', listId);
    if (bundle) d.need('bundle', bundle);
    d.set('list', listId, { ...fields, ...(bundle === undefined ? {} : { bundleId: bundle }) });
    if (after !== undefined || before !== undefined) placeList(listId, { after, before }, d);
    if (fields.name !== undefined && fields.name !== list.name) d.enter('list.rename', { listId }, { from: list.name, to: fields.name });
  },
});

function placeList(listId: string, neighbours: Neighbours, d: Deciding): void {
  const { position, respaced } = keyBeside(
    d.all('list').filter((other) => other.id !== listId && !other.removedAt),
    neighbours,
  );
  for (const [id, key] of respaced) d.set('list', id, { position: key });
  d.set('list', listId, { position });
}

/** `access` null: no longer shared with that person. What they were handed, they keep. */
export const shareList = commandKind({
  name: 'list.share',
  payload: z.object({ list: Id, person: Id, access: z.nullable(Access) }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide({ list: listId, person, access }, d) {
    shareWith(listId, person, access, d);
  },
});

function shareWith(listId: string, personId: string, access: Access | null, d: Deciding): void {
  const person = access === null ? d.need('person', personId) : needPerson(personId, d, 'person');
  if (person.role === 'outside' && access !== null) refuse('role-outside', { name: person.name }, 'person');
  if (d.need('list', listId).ownerId === personId) refuse('owner-stays', { name: person.name }, 'person');
  putShare(listId, personId, access, d);
  d.enter('list.share', { listId }, { person: person.name, access });
}

/** Hands the list to another owner; the one before keeps editing it. */
export const giveList = commandKind({
  name: 'list.giveTo',
  payload: z.object({ list: Id, person: Id }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide({ list: listId, person: personId }, d) {
    const list = d.need('list', listId);
    const person = needPerson(personId, d, 'person');
    if (person.role === 'outside') refuse('role-outside', { name: person.name }, 'person');
    const before = list.ownerId;
    if (before === personId) return;
    putShare(listId, personId, null, d);
    d.set('list', listId, { ownerId: personId });
    putShare(listId, before, 'edit', d);
    d.notify(personId, 'list-given', null, { title: list.name, list: listId });
    d.enter('list.giveTo', { listId }, { person: person.name });
  },
});

export const fileList = commandKind({
  name: 'list.file',
  payload: z.object({ list: Id, filed: z.boolean() }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide({ list, filed }, d) {
    d.set('list', list, { filedAt: filed ? d.now : null });
    d.enter(filed ? 'list.file' : 'list.unfile', { listId: list });
  },
});

export const removeList = commandKind({
  name: 'list.remove',
  payload: z.object({ list: Id, removed: z._default(z.boolean(), true), chores: SLICE }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide({ list, removed, chores }, d) {
    const ending = removed ? choresOfList(list, calendarDateOf(d.now, d.house.zone), d) : [];
    if (d.context.slice) return endToday(ending.filter(({ id }) => chores?.includes(id)), d); // prettier-ignore
    endToday(ending, d);
    if (!removed) resumeWith(list, d);
    else if (d.need('list', list).removedAt === null) notifyRemoved(openItems(d).filter(({ listId }) => listId === list), d); // prettier-ignore
    const { ownerId, name } = d.set('list', list, { removedAt: removed ? d.now : null });
    if (!removed) d.notify(ownerId, 'list-back', null, { title: name, list });
    d.enter(removed ? 'list.remove' : 'list.bringBack', { listId: list }, { name: d.need('list', list).name });
  },
});

const sectionsOf = (listId: string, d: Deciding) => d.by('section', 'listId', listId).filter((section) => !section.removedAt);

export function insertSection(listId: string, name: string, d: Deciding, id = d.newId()): void {
  d.insert('section', id, { listId, name, position: keyAtEnd(sectionsOf(listId, d)), removedAt: null });
}

const listOfSection = ({ section }: { section: string }, d: Deciding) => [{ permission: 'share', list: d.need('section', section).listId } as const];

export const makeSection = commandKind({
  name: 'section.make',
  payload: z.object({ list: Id, name: Name }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide: ({ list, name }, d) => insertSection(list, name, d),
});

export const changeSection = commandKind({
  name: 'section.change',
  payload: z.object({ section: Id, name: Name }),
  asks: listOfSection,
  decide: ({ section, name }, d) => void d.set('section', section, { name }),
});

export const moveSection = commandKind({
  name: 'section.move',
  payload: z.object({ section: Id, ...NEIGHBOURS }),
  asks: listOfSection,
  decide({ section: id, after, before }, d) {
    const section = d.need('section', id);
    const others = sectionsOf(section.listId, d).filter((other) => other.id !== id);
    const { position, respaced } = keyBeside(others, { after, before });
    for (const [other, key] of respaced) d.set('section', other, { position: key });
    d.set('section', id, { position });
  },
});

/** Its items stay in the list, under no heading. */
export const removeSection = commandKind({
  name: 'section.remove',
  payload: z.object({ section: Id, items: SLICE }),
  asks: listOfSection,
  decide({ section: id, items }, d) {
    const section = d.need('section', id);
    const of = (d.context.slice && items) || d.by('item', 'listId', section.listId).map((item) => item.id);
    for (const itemId of of) if (d.need('item', itemId).sectionId === id) d.set('item', itemId, { sectionId: null });
    if (!d.context.slice) d.set('section', id, { removedAt: d.now });
  },
});
