import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { relationToList } from '../access/relations.ts';
import { natureOf } from '../model/nature-schema.ts';
import { isHere } from '../model/person.ts';
import { keyAtEnd } from '../model/position.ts';
import { TITLE_MAX } from '../model/row.ts';
import { CalendarDate, Id, Name } from '../model/row-schema.ts';
import type { Template, TemplateItem } from '../model/template.ts';
import { filledIn } from '../templates/blanks.ts';
import { firstsOf } from '../templates/firsts.ts';
import { layOut, type Filling, type LaidOut } from '../templates/laid-out.ts';
import { askForContainer, CONTAINER, containerOf, type Container } from './container.ts';
import { copyAttachments } from './copied-files.ts';
import { insertDependency } from './dependencies.ts';
import type { Deciding } from './deciding.ts';
import { refuseBadDates } from './item-fields.ts';
import { insertItem } from './inserting.ts';
import { commandKind, SLICE } from './kind.ts';
import { insertSection } from './lists.ts';
import { givePart, settleNobody } from './parts.ts';
import { refuse } from './reasons.ts';
import { byKey, FILLING, refuseMissing, seesTemplate, stillThere } from './filling-templates.ts';
import { leftAfter, USED_AT_ONCE } from './slicing.ts';
import { itemsOf } from './templates.ts';

/** Makes what a template holds: a list with its items, or an item with its steps; in one action, with one undo. */
export const useTemplate = commandKind({
  name: 'template.use',
  payload: z.object({
    template: Id,
    /** What the list is called; else as the template says. */
    name: z.optional(Name),
    /** Into one that is there, instead of a list of its own. */
    ...CONTAINER,
    anchor: z.optional(z.nullable(CalendarDate)),
    ...FILLING,
    rows: SLICE,
    root: z.optional(Id),
  }),
  asks: (payload, d) => [{ permission: 'self', is: seesTemplate(payload.template, d) }, askForContainer(payload)],
  refuses: (payload, d) => void checked(payload, d),
  decide(payload, d) {
    const { template, items, filling } = checked(payload, d);
    const root = d.context.slice ? (payload.root ?? refuse('malformed', { field: 'root' })) : d.context.commandId;
    const spot = spotOf(template, payload, filling, root, d);
    const asked = new Set(payload.rows);
    const rest = d.context.slice ? items.filter(({ id }) => asked.has(id)) : leftAfter(items, d.context.ahead, USED_AT_ONCE);
    const byId = new Map(items.map((one) => [one.id, one]));
    d.willAsk('attachment', 'itemId', rest.map(({ id }) => id)); // prettier-ignore
    for (const one of rest) {
      make(layOut(one, filling), spot, root, d);
      for (const first of firstsOf(one, byId))
        insertDependency(madeId(one.id, root), madeId(first, root), filledIn(byId.get(first)!.title, filling.blanks).trim(), d.actor.id, d);
    }
    if (d.context.slice) return;
    tellOnce(items, filling, root, spot.name ?? '', d);
    d.enter(
      'template.use',
      { listId: spot.listId, itemId: template.kind === 'item' && items[0] ? madeId(items[0].id, root) : undefined },
      { name: template.name, count: items.length },
    );
  },
});

/** The item one of a template's becomes. */
const madeId = (templateItemId: string, root: string): string => v5(`made:${templateItemId}`, root);

interface Said {
  template: string;
  name?: string | undefined;
  list?: string | null | undefined;
  parent?: string | null | undefined;
  anchor?: string | null | undefined;
  blanks: Record<string, string>;
  roles: Record<string, string[]>;
}

/** What is missing is named, and nothing is made. */
function checked(said: Said, d: Deciding): { template: Template; items: TemplateItem[]; filling: Filling } {
  const template = d.need('template', said.template);
  if (template.removedAt !== null) refuse('gone', { noun: 'template' }, 'template');
  const items = itemsOf(template.id, d);
  if (items.length === 0) refuse('template-empty', { name: template.name });
  const filling: Filling = { anchor: said.anchor ?? null, blanks: byKey(said.blanks), roles: byKey(said.roles) };
  refuseMissing(template, items, filling, d);
  if (template.kind === 'list' && !said.list && !said.parent) refuseKnownName(said.name ?? filledIn(template.name, filling.blanks).trim(), d);
  return { template, items, filling };
}

/** Two lists of one name are told apart by nobody: another name is asked for. */
function refuseKnownName(name: string, d: Deciding): void {
  const made = v5('list', d.context.commandId);
  const isKnown = (other: string) =>
    d
      .all('list')
      .some(
        (list) =>
          list.id !== made &&
          list.removedAt === null &&
          list.filedAt === null &&
          list.name.toLowerCase() === other.toLowerCase() &&
          relationToList(list.id, d.actor, d) !== null,
      );
  if (d.context.slice || d.context.ahead || !isKnown(name)) return;
  let nth = 2;
  while (isKnown(`${name} ${nth}`)) nth++;
  refuse('list-name-taken', { name, other: `${name} ${nth}` }, 'name');
}

interface Spot extends Container {
  name: string | null;
  /** The section an item of the template stands in, by the template's own. */
  sectionOf: (sectionId: string | null) => string | null;
}

function spotOf(template: Template, said: Said & { section?: string | null | undefined }, { blanks }: Filling, root: string, d: Deciding): Spot {
  if (template.kind === 'item' || said.list || said.parent) {
    const spot = containerOf(said, d);
    const there = spot.listId === null ? [] : d.by('section', 'listId', spot.listId).filter(({ removedAt }) => removedAt === null);
    const named = (id: string | null) => template.sections.find((one) => one.id === id)?.name.toLowerCase();
    return { ...spot, name: null, sectionOf: (id) => there.find(({ name }) => name.toLowerCase() === named(id))?.id ?? spot.sectionId };
  }
  const listId = v5('list', root);
  const name = said.name ?? filledIn(template.name, blanks).trim().slice(0, NAME_LETTERS);
  if (!d.find('list', listId)) {
    const { colour, icon, listKind: kind } = template;
    const purpose = filledIn(template.purpose, blanks).slice(0, PURPOSE_LETTERS);
    const looks = { bundleId: null, stages: [], name, purpose, colour, icon, kind, position: keyAtEnd(d.all('list')) };
    d.insert('list', listId, { ...looks, ownerId: d.actor.id, filedAt: null, clearedAt: null, removedAt: null });
    for (const section of template.sections) insertSection(listId, filledIn(section.name, blanks).slice(0, NAME_LETTERS), d, v5(`section:${section.id}`, root));
    d.enter('list.make', { listId }, { name });
  }
  return {
    listId,
    sectionId: null,
    parentId: null,
    name,
    sectionOf: (id) => (template.sections.some((one) => one.id === id) ? v5(`section:${id}`, root) : null),
  };
}

const NAME_LETTERS = 80;
const PURPOSE_LETTERS = 300;

function make({ of, title, notes, due, start, personIds }: LaidOut, spot: Spot, root: string, d: Deciding): void {
  if (title.length > TITLE_MAX) refuse('too-long', { max: TITLE_MAX }, 'blanks');
  refuseBadDates(due, start);
  const parentId = of.parentId === null ? spot.parentId : madeId(of.parentId, root);
  const sectionId = spot.name === null && spot.parentId !== null ? spot.sectionId : spot.sectionOf(of.sectionId);
  const id = madeId(of.id, root);
  const fields = { ...natureOf(of), notes, title, due, start, listId: spot.listId, sectionId, parentId, makerId: d.actor.id };
  const item = insertItem(d, { ...fields, ...stillThere(of, d) }, id);
  const people = personIds.flatMap((personId) => d.find('person', personId) ?? []).filter(isHere);
  for (const person of people) givePart(id, person, d, '', d.actor.id);
  if (people.length > 0) settleNobody(id, d);
  copyAttachments(of.id, id, d);
  if (of.parentId === null) d.enter('item.add', { itemId: item.id }, people.length > 0 ? { to: people.map(({ name }) => name) } : {});
}

/** However many somebody has of it, they are told once: of the first. */
function tellOnce(items: readonly TemplateItem[], filling: Filling, root: string, name: string, d: Deciding): void {
  const told = new Set<string>();
  for (const one of items) {
    if (one.holders.length === 0) continue;
    const { personIds, title } = layOut(one, filling);
    for (const personId of personIds) {
      const person = d.find('person', personId);
      if (told.has(personId) || !person || !isHere(person)) continue;
      told.add(personId);
      d.notify(personId, 'handed', madeId(one.id, root), { title: name || title, message: '' });
    }
  }
}
