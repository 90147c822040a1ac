import * as z from 'zod/mini';
import { Pace } from './house-schema.ts';
import { Id, Text } from './row-schema.ts';
import { Wanted } from './wanted-schema.ts';

/** `any`: the first to check off completes it. `each`: everyone checks off their own part. */
export const Policy = z.enum(['any', 'each']);
export type Policy = z.infer<typeof Policy>;

export const Energy = z.enum(['low', 'middle', 'high']);
export type Energy = z.infer<typeof Energy>;

/** Minutes; of an `each` item per person. */
export const Effort = z.int().check(z.gte(1), z.lte(60_000));
/** Of the day it comes up: for what is done at no certain hour, such as a morning's round. */
export const PartOfDay = z.enum(['morning', 'day', 'evening']);
export type PartOfDay = z.infer<typeof PartOfDay>;

export const Importance = z.int().check(z.gte(0), z.lte(3));

/** What an item and a chore say alike of what is to be done, beside their title: each one of a chore takes it over. */
export const nature = {
  notes: Text,
  importance: Importance,
  effort: z.nullable(Effort),
  energy: z.nullable(Energy),
  dayPart: z.nullable(PartOfDay),
  tagIds: z.array(Id),
  /** All of them have to be so. */
  situationIds: z.array(Id),
  placeId: z.nullable(Id),
  policy: Policy,
  /** Completed parts wait for the giver, who ties them off or sends them back. */
  confirm: z.boolean(),
  /** How often people are nudged about it; null: as the house does. */
  pace: z.nullable(Pace),
  /** What is asked for when it is checked off; null: nothing. */
  wanted: z.nullable(Wanted),
};
export type Nature = z.infer<z.ZodMiniObject<typeof nature>>;

/** Of a row, or of some of its fields, what it says of what is to be done. */
export function natureOf<R extends Partial<Nature>>(row: R): Pick<R, keyof R & keyof Nature> {
  const found: Partial<Nature> = {};
  for (const field of Object.keys(nature) as (keyof Nature)[]) if (field in row) Object.assign(found, { [field]: row[field] });
  return found as Pick<R, keyof R & keyof Nature>;
}
