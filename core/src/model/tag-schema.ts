import * as z from 'zod/mini';
import { Colour } from './person-schema.ts';
import { Id, Instant, oneLine, shared } from './row-schema.ts';

export const TagName = oneLine(40);

/** A free word with a colour and maybe a broader word above it. Seen by its maker and by whoever sees an item that carries it. */
export const Tag = z.object({
  ...shared,
  makerId: Id,
  name: TagName,
  colour: Colour,
  parentId: z.nullable(Id),
  removedAt: z.nullable(Instant),
});
export type Tag = z.infer<typeof Tag>;
