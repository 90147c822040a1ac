import * as z from 'zod/mini';
import { ListIcon, ListKind, Purpose } from './list-schema.ts';
import { nature } from './nature-schema.ts';
import { Colour } from './person-schema.ts';
import { CalendarDate, Id, Instant, Name, oneLine, shared, Text, Title, WallTime } from './row-schema.ts';
import { FURTHEST_DAYS, ROLE_MAX } from './template.ts';

/** What becomes of a template: a list with its items, one item with its steps, or what a talk's notes begin with. */
export const TemplateKind = z.enum(['list', 'item', 'talk']);
export type TemplateKind = z.infer<typeof TemplateKind>;

/** A day by its distance from the template's own, in calendar days; with an hour it is a wall-clock time of the house's zone. */
export const Offset = z.object({ days: z.int().check(z.gte(-FURTHEST_DAYS), z.lte(FURTHEST_DAYS)), time: z.nullable(WallTime) });
export type Offset = z.infer<typeof Offset>;

/** Somebody, or whoever is asked for by a word such as "cook" when the template is used. */
export const Holder = z.union([z.object({ person: Id }), z.object({ role: oneLine(ROLE_MAX) })]);
export type Holder = z.infer<typeof Holder>;

/** A headed part of the list that is made: known by its id among the template's items. */
export const TemplateSection = z.object({ id: Id, name: oneLine(80) });
export type TemplateSection = z.infer<typeof TemplateSection>;

/** What is done again as it was thought out once: a snapshot, of which as many as one likes are made. One person's, or the house's. */
export const Template = z.object({
  ...shared,
  ownerId: Id,
  isShared: z.boolean(),
  kind: TemplateKind,
  name: Name,
  purpose: Purpose,
  colour: Colour,
  icon: ListIcon,
  listKind: ListKind,
  /** What its day is called where it is asked for: "Saturday", "Arrival"; empty: simply its day. */
  anchorName: z.string().check(z.maxLength(40)),
  /** The day it was kept by, from which its distances were measured; null: it was made anew. */
  keptOn: z.nullable(CalendarDate),
  sections: z.array(TemplateSection),
  /** What a talk's notes begin with, in Markdown; of the others empty. */
  text: Text,
  position: z.string(),
  createdAt: Instant,
  removedAt: z.nullable(Instant),
});
export type Template = z.infer<typeof Template>;

/** One item or step of a template. */
export const TemplateItem = z.object({
  ...shared,
  templateId: Id,
  /** What it is a step of. */
  parentId: z.nullable(Id),
  sectionId: z.nullable(Id),
  title: Title,
  ...nature,
  due: z.nullable(Offset),
  start: z.nullable(Offset),
  holders: z.array(Holder),
  /** Which of its template’s items have to be done first (RFC 9253 DEPENDS-ON). */
  firstIds: z.array(Id),
  position: z.string(),
  removedAt: z.nullable(Instant),
});
export type TemplateItem = z.infer<typeof TemplateItem>;
