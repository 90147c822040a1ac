import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { ListIcon, ListKind, Purpose } from '../model/list-schema.ts';
import { USUAL_NATURE } from '../model/nature.ts';
import { Effort, Energy, Importance, PartOfDay, Policy } from '../model/nature-schema.ts';
import { Colour } from '../model/person-schema.ts';
import { keyAtEnd, keyBeside } from '../model/position.ts';
import { CalendarDate, Id, Name, oneLine, Text, Title } from '../model/row-schema.ts';
import { TagName } from '../model/tag-schema.ts';
import { MOST_BLANKS, MOST_ROLES, MOST_TEMPLATE_ITEMS, MOST_TEMPLATE_ROWS, MOST_TEMPLATES, type Template, type TemplateItem } from '../model/template.ts';
import { Holder, Offset, TemplateKind } from '../model/template-schema.ts';
import { askedBy } from '../templates/asked.ts';
import { inOrder } from '../templates/laid-out.ts';
import { wayRound } from '../templates/firsts.ts';
import type { Deciding } from './deciding.ts';
import { NATURE, contextOf } from './item-fields.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';
import { refuse } from './reasons.ts';
import { MADE_AT_ONCE, leftAfter } from './slicing.ts';

/** The headed parts of what is made. */
const MOST_SECTIONS = 50;

/** One's own is changed by oneself, the house's by managers as well. */
export function askToChangeTemplate(id: string, d: Deciding): CommandRequest {
  const template = d.find('template', id);
  if (template?.ownerId === d.actorOrNull?.id) return { permission: 'self', is: template !== undefined };
  return template?.isShared ? { permission: 'manage' } : { permission: 'self', is: false };
}

/** Helpers use what is the house's, and keep their own. */
export const askToShare = (isShared: boolean | undefined, d: Deciding): CommandRequest[] => (isShared ? [{ permission: 'self', is: d.actorOrNull?.role !== 'helper' }] : []); // prettier-ignore

export const itemsOf = (templateId: string, d: Deciding): TemplateItem[] => inOrder(d.by('templateItem', 'templateId', templateId));

/** So much fits into one, whoever makes it. */
export function refuseTooLarge(items: readonly { parentId: string | null }[]): void {
  if (items.filter(({ parentId }) => parentId === null).length > MOST_TEMPLATE_ITEMS) refuse('too-many', { max: MOST_TEMPLATE_ITEMS }, 'items');
  if (items.length > MOST_TEMPLATE_ROWS) refuse('too-many', { max: MOST_TEMPLATE_ROWS }, 'items');
}

/** So much is asked for where it is used. */
function refuseTooMuchAsked(template: Template, d: Deciding): void {
  const { blanks, roles } = askedBy(template, itemsOf(template.id, d), d);
  if (blanks.length > MOST_BLANKS) refuse('too-many-blanks', { max: MOST_BLANKS }, 'items');
  if (roles.length > MOST_ROLES) refuse('too-many-roles', { max: MOST_ROLES }, 'items');
}

type NewTemplate = Pick<Template, 'name' | 'kind'> & Partial<Template>;

/** A template as it is when it is made, under the id that follows from the command it is made by. */
export function insertTemplate(root: string, fields: NewTemplate, d: Deciding): Template {
  const id = v5('template', root);
  const known = d.find('template', id);
  if (known) return known;
  const others = d.all('template').filter(({ removedAt }) => removedAt === null);
  if (others.length >= MOST_TEMPLATES) refuse('too-many', { max: MOST_TEMPLATES }, 'name');
  return d.insert('template', id, { ...PLAIN, ownerId: d.actor.id, position: keyAtEnd(others), createdAt: d.now, ...fields });
}

const PLAIN = {
  isShared: false,
  purpose: '',
  colour: 'moss' as const,
  icon: 'list' as const,
  listKind: 'working' as const,
  anchorName: '',
  keptOn: null,
  sections: [],
  text: '',
  removedAt: null,
};
export const BLANK_ITEM = { ...USUAL_NATURE, notes: '', parentId: null, sectionId: null, due: null, start: null, holders: [], firstIds: [], removedAt: null };

const MOST_FIRSTS = 20;
/** By their places among the items, from 0. */
const FIRST_PLACES = z.optional(z.array(z.int().check(z.gte(0), z.lte(MOST_TEMPLATE_ROWS))).check(z.maxLength(MOST_FIRSTS)));

const ITEM = {
  notes: z.optional(Text),
  policy: z.optional(Policy),
  confirm: z.optional(z.boolean()),
  importance: z.optional(Importance),
  effort: z.optional(z.nullable(Effort)),
  energy: z.optional(z.nullable(Energy)),
  dayPart: z.optional(z.nullable(PartOfDay)),
  tags: z.optional(z.array(TagName).check(z.maxLength(20))),
  situations: NATURE.situations,
  place: NATURE.place,
  wanted: NATURE.wanted,
  due: z.optional(z.nullable(Offset)),
  start: z.optional(z.nullable(Offset)),
  holders: z.optional(z.array(Holder).check(z.maxLength(60))),
};

const LOOKS = {
  purpose: z.optional(Purpose),
  colour: z.optional(Colour),
  icon: z.optional(ListIcon),
  listKind: z.optional(ListKind),
  anchorName: z.optional(z.string().check(z.trim(), z.maxLength(40))),
  text: z.optional(Text),
};

/** One that is made anew, or came as a file: with all its items, in their order. `under` names an earlier one by its place, from 0. */
export const makeTemplate = commandKind({
  name: 'template.make',
  payload: z.object({
    name: Name,
    kind: z._default(TemplateKind, 'list'),
    isShared: z._default(z.boolean(), false),
    ...LOOKS,
    keptOn: z.optional(z.nullable(CalendarDate)),
    sections: z._default(z.array(oneLine(80)).check(z.maxLength(MOST_SECTIONS)), []),
    items: z._default(
      z
        .array(
          z.object({
            title: Title,
            ...ITEM,
            firsts: FIRST_PLACES,
            under: z.optional(z.nullable(z.int().check(z.gte(0)))),
            section: z.optional(z.nullable(z.int().check(z.gte(0)))),
          }),
        )
        .check(z.maxLength(MOST_TEMPLATE_ROWS)),
      [],
    ),
    /** Of a slice: the command it is of, and the place of its first item. */
    root: z.optional(Id),
    from: z.optional(z.int().check(z.gte(0))),
  }),
  asks: ({ isShared }, d) => [{ permission: 'keep' }, ...askToShare(isShared, d)],
  decide({ sections, items, root: sliceOf, from: sliceFrom = 0, ...fields }, d) {
    const root = d.context.slice ? (sliceOf ?? refuse('malformed', { field: 'root' })) : d.context.commandId;
    const from = d.context.slice ? sliceFrom : (d.context.ahead ?? 0) * MADE_AT_ONCE;
    const idOf = (nth: number) => v5(`item:${nth}`, root);
    if (fields.kind === 'talk' && items.length > 0) refuse('malformed', { field: 'items' }, 'items');
    if (items.some(({ under }, nth) => typeof under === 'number' && under >= nth + (d.context.slice ? from : 0)))
      refuse('malformed', { field: 'under' }, 'items');
    refuseTooLarge(items.map(({ under }) => ({ parentId: typeof under === 'number' ? 'step' : null })));
    const made = insertTemplate(
      root,
      { ...said(fields), name: fields.name, kind: fields.kind, sections: sections.map((name, nth) => ({ id: v5(`section:${nth}`, root), name })) },
      d,
    );
    const rest = d.context.slice ? items : leftAfter(items, d.context.ahead, MADE_AT_ONCE);
    for (const [nth, { under, section, firsts = [], tags, situations, place, ...item }] of rest.entries()) {
      const parentId = typeof under === 'number' ? idOf(under) : null;
      const sectionId = typeof section === 'number' ? (made.sections[section]?.id ?? null) : null;
      const given = { ...said(item), ...said(contextOf({ tags, situations, place }, d)), title: item.title, firstIds: [...new Set(firsts)].map(idOf) };
      // in the order they came: as many keys as there are places
      d.insert('templateItem', idOf(from + nth), { ...BLANK_ITEM, ...given, templateId: made.id, parentId, sectionId, position: placeKey(from + nth) });
    }
    if (d.context.slice) return;
    refuseRoundIn(itemsOf(made.id, d));
    refuseTooMuchAsked(made, d);
  },
});

/** A key for the nth of many that are made at once: they sort as they came. */
export const placeKey = (nth: number): string => `a${nth.toString(36).padStart(4, '0')}m`;

/** What was said; what was not stays as usual. */
const said = <T extends object>(fields: T): { [K in keyof T]?: NonNullable<T[K]> | Extract<T[K], null> } =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as never;

export const changeTemplate = commandKind({
  name: 'template.change',
  payload: z.object({
    template: Id,
    name: z.optional(Name),
    isShared: z.optional(z.boolean()),
    ...LOOKS,
    /** In their order; one without an id is new, one that is left out is gone, and its items stand without it. */
    sections: z.optional(z.array(z.object({ id: z.optional(Id), name: oneLine(80) })).check(z.maxLength(MOST_SECTIONS))),
    removed: z.optional(z.boolean()),
  }),
  asks: ({ template, isShared }, d) => [askToChangeTemplate(template, d), ...askToShare(isShared, d)],
  decide({ template: id, removed, sections, ...fields }, d) {
    d.need('template', id);
    const kept = sections?.map(({ id: sectionId, name }) => ({ id: sectionId ?? d.newId(), name }));
    const template = d.set('template', id, {
      ...said(fields),
      ...(kept ? { sections: kept } : {}),
      ...(removed === undefined ? {} : { removedAt: removed ? d.now : null }),
    });
    refuseTooMuchAsked(template, d);
  },
});

export const addTemplateItem = commandKind({
  name: 'templateItem.add',
  payload: z.object({ template: Id, title: Title, parent: z.optional(z.nullable(Id)), section: z.optional(z.nullable(Id)) }),
  asks: ({ template }, d) => [askToChangeTemplate(template, d)],
  decide({ template: templateId, title, parent, section }, d) {
    const template = d.need('template', templateId);
    if (template.kind === 'talk') refuse('malformed', { field: 'template' }, 'template');
    const all = itemsOf(templateId, d);
    const above = parent ? all.find(({ id }) => id === parent) : undefined;
    if (parent && !above) refuse('gone', { noun: 'templateItem' }, 'parent');
    const spot = { parentId: above?.id ?? null, sectionId: above ? above.sectionId : (template.sections.find(({ id }) => id === section)?.id ?? null) };
    refuseTooLarge([...all, spot]);
    const among = all.filter(({ parentId, sectionId }) => parentId === spot.parentId && sectionId === spot.sectionId);
    d.insert('templateItem', d.newId(), { ...BLANK_ITEM, ...spot, templateId, title, position: keyAtEnd(among) });
    refuseTooMuchAsked(template, d);
  },
});

export const changeTemplateItem = commandKind({
  name: 'templateItem.change',
  payload: z.object({
    item: Id,
    title: z.optional(Title),
    ...ITEM,
    /** Which of its items have to be done first. */
    firsts: z.optional(z.array(Id).check(z.maxLength(MOST_FIRSTS))),
    section: z.optional(z.nullable(Id)),
    after: z.optional(z.nullable(Id)),
    before: z.optional(z.nullable(Id)),
    removed: z.optional(z.boolean()),
  }),
  asks: ({ item }, d) => [askToChangeTemplate(d.find('templateItem', item)?.templateId ?? item, d)],
  decide({ item: id, section, after, before, firsts, removed, tags, situations, place, ...fields }, d) {
    const item = d.need('templateItem', id);
    const template = d.need('template', item.templateId);
    d.set('templateItem', id, {
      ...said(fields),
      ...said(contextOf({ tags, situations, place }, d)),
      ...(removed === undefined ? {} : { removedAt: removed ? d.now : null }),
      ...(section === undefined ? {} : { sectionId: template.sections.find((one) => one.id === section)?.id ?? null }),
    });
    if (firsts) setFirsts(item, firsts, d);
    if (after !== undefined || before !== undefined) putAmong(d.need('templateItem', id), { after, before }, d);
    refuseTooLarge(itemsOf(template.id, d));
    refuseTooMuchAsked(template, d);
  },
});

/** Those of the same template, none in a circle. */
function setFirsts(item: TemplateItem, firsts: readonly string[], d: Deciding): void {
  const all = itemsOf(item.templateId, d);
  if (firsts.some((first) => all.every(({ id }) => id !== first))) refuse('gone', { noun: 'templateItem' }, 'firsts');
  d.set('templateItem', item.id, { firstIds: [...new Set(firsts)] });
  refuseRoundIn(itemsOf(item.templateId, d));
}

function refuseRoundIn(items: readonly TemplateItem[]): void {
  const way = wayRound(items);
  if (way) refuse('wait-round', { way: way.map(({ title }) => `“${title}”`).join(' → ') }, 'firsts');
}

function putAmong(item: TemplateItem, neighbours: { after?: string | null; before?: string | null }, d: Deciding): void {
  const among = itemsOf(item.templateId, d).filter(
    ({ id, parentId, sectionId }) => id !== item.id && parentId === item.parentId && sectionId === item.sectionId,
  );
  const { position, respaced } = keyBeside(among, neighbours);
  for (const [id, key] of respaced) d.set('templateItem', id, { position: key });
  d.set('templateItem', item.id, { position });
}
