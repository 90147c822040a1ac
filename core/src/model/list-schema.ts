import * as z from 'zod/mini';
import { LIST_ICONS } from './list.ts';
import { Colour } from './person-schema.ts';
import { Id, Instant, Name, oneLine, shared } from './row-schema.ts';

export const ListIcon = z.enum(LIST_ICONS);
export type ListIcon = z.infer<typeof ListIcon>;

/** `working`; `undated`: picked from when the occasion arises; `reference`: never among things to do. */
export const ListKind = z.enum(['working', 'undated', 'reference']);
export type ListKind = z.infer<typeof ListKind>;

/** What sharing a list gives. */
export const Access = z.enum(['edit', 'check', 'view']);
export type Access = z.infer<typeof Access>;

const removable = { removedAt: z.nullable(Instant) };

/** A line on what a list or a bundle is for. */
export const Purpose = z.string().check(z.maxLength(300));

/** Lists that belong together. Seen by its maker and by whoever sees a list in it. */
export const Bundle = z.object({
  ...shared,
  ...removable,
  ownerId: Id,
  name: Name,
  purpose: Purpose,
  colour: Colour,
  icon: ListIcon,
  position: z.string(),
});
export type Bundle = z.infer<typeof Bundle>;

/** Where an item of the list stands: a named step on its way. One of them may mean that it is done. */
export const Stage = z.object({ id: Id, name: oneLine(40), isDone: z.boolean() });
export type Stage = z.infer<typeof Stage>;

export const List = z.object({
  ...shared,
  ...removable,
  ownerId: Id,
  bundleId: z.nullable(Id),
  name: Name,
  purpose: Purpose,
  colour: Colour,
  icon: ListIcon,
  kind: ListKind,
  /** In their order; none: the list has no stages. */
  stages: z.array(Stage),
  position: z.string(),
  filedAt: z.nullable(Instant),
  /** What was done before this is out of sight. */
  clearedAt: z.nullable(Instant),
});
export type List = z.infer<typeof List>;

/** A headed part of a list. */
export const Section = z.object({ ...shared, ...removable, listId: Id, name: oneLine(80), position: z.string() });
export type Section = z.infer<typeof Section>;

/** A list × person. `access` null: no longer shared. */
export const Share = z.object({ ...shared, listId: Id, personId: Id, access: z.nullable(Access) });
export type Share = z.infer<typeof Share>;
