import * as z from 'zod/mini';
import { isDone } from '../followup/standing.ts';
import { COLOURS } from '../model/person.ts';
import { ListIcon, Purpose } from '../model/list-schema.ts';
import { Colour } from '../model/person-schema.ts';
import { keyAtEnd } from '../model/position.ts';
import { membershipId, MOST_PROJECTS, type Project } from '../model/project.ts';
import { CalendarDate, Id, Name } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
import type { CommandRequest } from './required-permissions.ts';
import { refuse } from './reasons.ts';
import { removeFilesOf, restoreFilesOf } from './removing-files.ts';

const FIELDS = {
  purpose: z.optional(Purpose),
  colour: z.optional(Colour),
  icon: z.optional(ListIcon),
  answerable: z.optional(z.nullable(Id)),
  begins: z.optional(z.nullable(CalendarDate)),
  ends: z.optional(z.nullable(CalendarDate)),
  parent: z.optional(z.nullable(Id)),
};
const SOME = z._default(z.array(Id).check(z.maxLength(500)), []);

/** Helpers read what they may see of it. */
const mayMake = (d: Deciding): CommandRequest => ({ permission: 'self', is: d.actorOrNull?.role === 'member' || d.actorOrNull?.role === 'manager' });

/** Whoever answers for it, made it, or manages the house. */
export function askToChangeProject(id: string, d: Deciding): CommandRequest {
  const project = d.find('project', id);
  const isOwn = project !== undefined && [project.answerableId, project.makerId].includes(d.actorOrNull?.id ?? '') && d.actorOrNull?.role !== 'helper';
  return isOwn ? { permission: 'self', is: true } : { permission: 'manage' };
}

function refuseBadSpan({ begins, ends }: Pick<Project, 'begins' | 'ends'>): void {
  if (begins !== null && ends !== null && ends < begins) refuse('ends-before-begins', { begins, ends }, 'ends');
}

/** What is a part of itself, over however many, is refused with the way round. */
export function refuseRound(project: Project, d: Deciding): void {
  const way = [project.name];
  const met = new Set([project.id]);
  for (let up = project.parentId; up !== null;) {
    const above = d.need('project', up);
    way.push(above.name);
    if (above.id === project.id) refuse('project-round', { way: way.join(' → ') }, 'parent');
    if (met.has(above.id)) return;
    met.add(above.id);
    up = above.parentId;
  }
}

export const makeProject = commandKind({
  name: 'project.make',
  payload: z.object({ name: Name, ...FIELDS, lists: SOME, items: SOME, notes: SOME }),
  asks: (payload, d) => [mayMake(d), ...asksToInclude(payload, d)],
  decide({ name, answerable = null, parent = null, lists, items, notes, ...fields }, d) {
    const others = d.all('project').filter(({ removedAt }) => removedAt === null);
    if (others.length >= MOST_PROJECTS) refuse('too-many', { max: MOST_PROJECTS }, 'name');
    if (answerable !== null) needPerson(answerable, d, 'answerable');
    if (parent !== null) d.need('project', parent);
    const looks = {
      purpose: fields.purpose ?? '',
      colour: fields.colour ?? COLOURS[others.length % COLOURS.length]!,
      icon: fields.icon ?? ('package' as const),
    };
    const project = d.insert('project', d.newId(), {
      ...looks,
      name,
      makerId: d.actor.id,
      answerableId: answerable,
      begins: fields.begins ?? null,
      ends: fields.ends ?? null,
      parentId: parent,
      position: keyAtEnd(others),
      createdAt: d.now,
      finishedAt: null,
      removedAt: null,
    });
    refuseBadSpan(project);
    include(project, { lists, items, notes }, d);
    if (answerable !== null && answerable !== d.actor.id) d.notify(answerable, 'project', null, { title: name, project: project.id });
    d.enter('project.make', {}, { name });
  },
});

export const changeProject = commandKind({
  name: 'project.change',
  payload: z.object({ project: Id, name: z.optional(Name), ...FIELDS, removed: z.optional(z.boolean()) }),
  asks: ({ project }, d) => [askToChangeProject(project, d)],
  decide({ project: id, answerable, parent, removed, ...fields }, d) {
    const before = d.need('project', id);
    if (answerable) needPerson(answerable, d, 'answerable');
    if (parent) d.need('project', parent);
    const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
    const project = d.set('project', id, {
      ...given,
      ...(answerable === undefined ? {} : { answerableId: answerable }),
      ...(parent === undefined ? {} : { parentId: parent }),
      ...(removed === undefined ? {} : { removedAt: removed ? d.now : null }),
    });
    if (removed === true && before.removedAt === null) removeFilesOf(id, d);
    if (removed === false && before.removedAt !== null) restoreFilesOf(id, before.removedAt, d);
    refuseBadSpan(project);
    refuseRound(project, d);
    if (answerable && answerable !== before.answerableId && answerable !== d.actor.id)
      d.notify(answerable, 'project', null, { title: project.name, project: id });
    if (removed !== undefined) d.enter(removed ? 'project.remove' : 'project.bringBack', {}, { name: project.name });
  },
});

interface Members {
  lists: readonly string[];
  items: readonly string[];
  notes: readonly string[];
}

const asksToInclude = ({ lists, items, notes }: Members, d: Deciding): CommandRequest[] => [
  ...lists.map((list) => ({ permission: 'see', list }) as const),
  ...items.map((item) => ({ permission: 'see', item }) as const),
  ...notes.map((note) => ({ permission: 'self', is: readsNotes(note, d) }) as const),
];

/** One's own, and those one is in that are shared. */
function readsNotes(id: string, d: Deciding): boolean {
  const note = d.find('meetingNote', id);
  const me = d.actorOrNull?.id ?? '';
  return note !== undefined && (note.makerId === me || (note.shared && note.personIds.includes(me)));
}

function include(project: Project, { lists, items, notes }: Members, d: Deciding): void {
  const put = (memberId: string, of: { listId?: string; itemId?: string; noteId?: string }) => {
    const id = membershipId(project.id, memberId);
    if (d.find('membership', id)) d.set('membership', id, { endedAt: null });
    else d.insert('membership', id, { projectId: project.id, listId: null, itemId: null, noteId: null, byId: d.actor.id, endedAt: null, ...of });
  };
  for (const listId of lists) put(d.need('list', listId).id, { listId });
  for (const itemId of items) put(d.need('item', itemId).id, { itemId });
  for (const noteId of notes) {
    const { makerId, shared, personIds } = d.need('meetingNote', noteId);
    if (makerId !== d.actor.id && !(shared && personIds.includes(d.actor.id))) refuse('gone', { noun: 'meetingNote' }, 'notes');
    put(noteId, { noteId });
  }
}

/** What belongs to a project, put there by whoever may change it and sees what they put there; or taken out. */
export const setMembers = commandKind({
  name: 'project.setMembers',
  payload: z.object({ project: Id, lists: SOME, items: SOME, notes: SOME, on: z._default(z.boolean(), true) }),
  asks: ({ project, on, ...members }, d) => [askToChangeProject(project, d), ...(on ? asksToInclude(members, d) : [])],
  decide({ project: id, lists, items, notes, on }, d) {
    const project = d.need('project', id);
    if (on) include(project, { lists, items, notes }, d);
    else
      for (const memberId of [...lists, ...items, ...notes])
        if (d.find('membership', membershipId(id, memberId))) d.set('membership', membershipId(id, memberId), { endedAt: d.now });
    for (const itemId of items) d.enter(on ? 'project.include' : 'project.exclude', { itemId }, { name: project.name });
    for (const listId of lists) d.enter(on ? 'project.include' : 'project.exclude', { listId }, { name: project.name });
  },
});

/** It is done with, or goes on after all. What is still open is not forgotten: it is said what becomes of it. */
export const finishProject = commandKind({
  name: 'project.finish',
  payload: z.object({ project: Id, finished: z._default(z.boolean(), true), open: z.optional(z.enum(['stays', 'is-filed'])) }),
  asks: ({ project }, d) => [askToChangeProject(project, d)],
  decide({ project: id, finished, open }, d) {
    const project = d.need('project', id);
    if (finished && open === undefined) {
      const left = openIn(id, d);
      if (left > 0) refuse('project-open', { count: left }, 'open');
    }
    d.set('project', id, { finishedAt: finished ? d.now : null });
    // lists that were for it alone go out of the way with it
    if (finished && open === 'is-filed')
      for (const { listId } of d.by('membership', 'projectId', id)) if (listId !== null && mayFile(listId, d)) d.set('list', listId, { filedAt: d.now });
    d.enter(finished ? 'project.finish' : 'project.goOn', {}, { name: project.name });
  },
});

/** Items of it that are not done. */
function openIn(projectId: string, d: Deciding): number {
  const open = new Set<string>();
  for (const { listId, itemId, endedAt } of d.by('membership', 'projectId', projectId)) {
    if (endedAt !== null) continue;
    const items = listId === null ? [] : d.by('item', 'listId', listId).filter(({ parentId }) => parentId === null);
    const single = itemId === null ? undefined : d.find('item', itemId);
    for (const item of [...items, ...(single ? [single] : [])])
      if (item.removedAt === null && !isDone(item, d.by('part', 'itemId', item.id))) open.add(item.id);
  }
  return open.size;
}

const mayFile = (listId: string, d: Deciding): boolean => {
  const list = d.find('list', listId);
  return list !== undefined && list.filedAt === null && (list.ownerId === d.actor.id || d.actor.role === 'manager');
};
