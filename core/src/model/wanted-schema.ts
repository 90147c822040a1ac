import * as z from 'zod/mini';
import { oneLine } from './row-schema.ts';

/** What an item asks for when it is checked off: a word, a number with its unit, or a photo. */
export const Wanted = z.object({
  kind: z.enum(['word', 'number', 'photo']),
  /** "The meter says": what is asked. */
  what: oneLine(80),
  /** Of a number; may be empty. */
  unit: z.string().check(z.trim(), z.maxLength(12)),
});
export type Wanted = z.infer<typeof Wanted>;
