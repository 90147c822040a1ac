import * as z from 'zod/mini';
import { CalendarDate, Id, oneLine, Text, WallTime } from '../model/row-schema.ts';
import { filledIn } from '../templates/blanks.ts';
import { byKey, FILLING, refuseMissing, seesTemplate } from './filling-templates.ts';
import { TEXT_MAX } from '../model/row.ts';
import { talkId } from '../model/talk.ts';
import { isMoment } from '../time/clock.ts';
import type { CommandRequest } from './required-permissions.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';
import { removeFilesOf } from './removing-files.ts';

const SEVERAL = z.array(Id).check(z.minLength(1), z.maxLength(200));
const PEOPLE = z.array(Id).check(z.minLength(1), z.maxLength(60));
const isMine = (noun: 'matter' | 'meetingNote', id: string, d: Deciding): CommandRequest => ({
  permission: 'self',
  is: d.find(noun, id)?.makerId === d.actorOrNull?.id,
});

/** Onto one's agenda with somebody: words, or an item one sees. The same item stands there once. */
export const addMatter = commandKind({
  name: 'matter.add',
  payload: z.object({ person: Id, words: z.optional(oneLine(500)), item: z._default(z.nullable(Id), null), shared: z._default(z.boolean(), false) }),
  asks: ({ item }) => [{ permission: 'keep' }, ...(item ? [{ permission: 'see', item } as const] : [])],
  decide({ person: personId, words, item: itemId, shared }, d) {
    const person = needPerson(personId, d, 'person');
    if (person.id === d.actor.id) refuse('already-has-it', { names: [person.name] }, 'person');
    const open = d.by('matter', 'personId', personId).some((one) => one.makerId === d.actor.id && isOpen(one) && itemId !== null && one.itemId === itemId);
    if (open) return;
    const title = itemId ? d.need('item', itemId).title : '';
    const said = words ?? title;
    if (said === '') refuse('title-empty', {}, 'words');
    d.insert('matter', d.newId(), {
      makerId: d.actor.id,
      personId,
      itemId,
      words: said,
      shared,
      at: d.now,
      settledAt: null,
      noteId: null,
      removedAt: null,
    });
  },
});

const isOpen = ({ settledAt, removedAt }: { settledAt: string | null; removedAt: string | null }): boolean => settledAt === null && removedAt === null;

/** Talked about, maybe in the talk a note is of; or not after all. */
export const settleMatters = commandKind({
  name: 'matter.settle',
  payload: z.object({ matters: SEVERAL, settled: z._default(z.boolean(), true), note: z._default(z.nullable(Id), null) }),
  asks: ({ matters }, d) => matters.map((matter) => isMine('matter', matter, d)),
  decide({ matters, settled, note }, d) {
    for (const matter of matters) {
      d.need('matter', matter);
      d.set('matter', matter, { settledAt: settled ? d.now : null, noteId: settled ? note : null });
    }
  },
});

export const removeMatters = commandKind({
  name: 'matter.remove',
  payload: z.object({ matters: SEVERAL }),
  asks: ({ matters }, d) => matters.map((matter) => isMine('matter', matter, d)),
  decide({ matters }, d) {
    for (const matter of matters) if (d.need('matter', matter).removedAt === null) d.set('matter', matter, { removedAt: d.now });
  },
});

/** Lets the other person see the line, or no longer. */
export const shareMatter = commandKind({
  name: 'matter.share',
  payload: z.object({ matter: Id, shared: z.boolean() }),
  asks: ({ matter }, d) => [isMine('matter', matter, d)],
  decide({ matter, shared }, d) {
    d.set('matter', matter, { shared });
  },
});

/** A regular talk with somebody, or another day and hour for it. */
export const setTalk = commandKind({
  name: 'talk.set',
  payload: z.object({ person: Id, weekday: z.int().check(z.gte(1), z.lte(7)), time: WallTime }),
  asks: () => [{ permission: 'keep' }],
  decide({ person, weekday, time }, d) {
    needPerson(person, d, 'person');
    const id = talkId(d.actor.id, person);
    if (d.find('talk', id)) d.set('talk', id, { weekday, time, endedAt: null });
    else d.insert('talk', id, { makerId: d.actor.id, personId: person, weekday, time, endedAt: null });
  },
});

export const endTalk = commandKind({
  name: 'talk.end',
  payload: z.object({ person: Id }),
  asks: () => [{ permission: 'keep' }],
  decide({ person }, d) {
    const id = talkId(d.actor.id, person);
    if (d.need('talk', id).endedAt === null) d.set('talk', id, { endedAt: d.now });
  },
});

/** A note of a talk, its people and day filled in. */
export const makeNote = commandKind({
  name: 'note.make',
  payload: z.object({
    persons: PEOPLE,
    date: CalendarDate,
    text: z._default(Text, ''),
    shared: z._default(z.boolean(), false),
    /** What they begin with instead, its blanks filled. */
    template: z.optional(Id),
    blanks: FILLING.blanks,
  }),
  asks: ({ template }, d) => [{ permission: 'keep' }, ...(template ? [{ permission: 'self', is: seesTemplate(template, d) } as const] : [])],
  decide({ persons, date, text: given, shared, template, blanks }, d) {
    const text = template === undefined ? given : begunWith(template, byKey(blanks), d);
    if (!isMoment(date)) refuse('malformed', { value: date }, 'date');
    for (const person of persons) needPerson(person, d);
    d.insert('meetingNote', d.newId(), { makerId: d.actor.id, personIds: [...new Set(persons)], date, text, shared, removedAt: null });
  },
});

/** What a template of talks says, filled in; what is missing is named. */
function begunWith(templateId: string, blanks: Record<string, string>, d: Deciding): string {
  const template = d.need('template', templateId);
  if (template.removedAt !== null || template.kind !== 'talk') refuse('gone', { noun: 'template' }, 'template');
  refuseMissing(template, [], { anchor: null, blanks, roles: {} }, d);
  const text = filledIn(template.text, blanks);
  return text.length <= TEXT_MAX ? text : refuse('too-long', { max: TEXT_MAX }, 'blanks');
}

export const changeNote = commandKind({
  name: 'note.change',
  payload: z.object({ note: Id, text: z.optional(Text), date: z.optional(CalendarDate), persons: z.optional(PEOPLE), shared: z.optional(z.boolean()) }),
  asks: ({ note }, d) => [isMine('meetingNote', note, d)],
  decide({ note, persons, date, ...fields }, d) {
    if (date !== undefined && !isMoment(date)) refuse('malformed', { value: date }, 'date');
    for (const person of persons ?? []) d.need('person', person);
    d.set('meetingNote', note, { ...fields, date, personIds: persons && [...new Set(persons)] });
  },
});

export const removeNote = commandKind({
  name: 'note.remove',
  payload: z.object({ note: Id }),
  asks: ({ note }, d) => [isMine('meetingNote', note, d)],
  decide({ note }, d) {
    if (d.need('meetingNote', note).removedAt !== null) return;
    d.set('meetingNote', note, { removedAt: d.now });
    removeFilesOf(note, d);
  },
});
