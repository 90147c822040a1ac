import * as z from 'zod/mini';
import { Pattern } from './person-schema.ts';
import { ACCENTS } from './preferences.ts';
import { Id, shared } from './row-schema.ts';
import { ReviewProgress } from './weekly-review-schema.ts';

export const Accent = z.enum(ACCENTS);
export type Accent = z.infer<typeof Accent>;

/** How Kotiva looks for one person and where they are in it, on every device of theirs. Seen by nobody else. */
export const Preferences = z.object({
  ...shared,
  personId: Id,
  /** What leads on, and what is done, is drawn in it. Null: the usual. */
  accent: z.nullable(Accent),
  /** The weave behind headings. Null: none. */
  backdrop: z.nullable(Pattern),
  /** Where they are in the weekly review. Null: they never began one. */
  review: z.nullable(ReviewProgress),
});
export type Preferences = z.infer<typeof Preferences>;
