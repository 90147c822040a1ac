import * as z from 'zod/mini';
import { Colour, Pattern } from './person-schema.ts';
import { Id, shared } from './row-schema.ts';

/** How Kotiva looks for one person, on every device of theirs. Seen by nobody else. */
export const Preferences = z.object({
  ...shared,
  personId: Id,
  /** What leads on, and what is done, is drawn in it. Null: the usual. */
  accent: z.nullable(Colour),
  /** The weave behind headings. Null: none. */
  backdrop: z.nullable(Pattern),
});
export type Preferences = z.infer<typeof Preferences>;
