import * as z from 'zod/mini';
import { Pattern } from '../model/person-schema.ts';
import { preferencesId } from '../model/preferences.ts';
import { Accent } from '../model/preferences-schema.ts';
import { ReviewProgress } from '../model/weekly-review-schema.ts';
import { commandKind } from './kind.ts';

/** How Kotiva looks for oneself, and where one is in it. What is left out stays as it was. */
export const setPreferences = commandKind({
  name: 'preferences.set',
  payload: z.object({ accent: z.optional(z.nullable(Accent)), backdrop: z.optional(z.nullable(Pattern)), review: z.optional(ReviewProgress) }),
  asks: (_payload, d) => [{ permission: 'self', is: d.actorOrNull !== null }],
  decide(chosen, d) {
    const id = preferencesId(d.actor.id);
    if (!d.find('preferences', id)) d.insert('preferences', id, { personId: d.actor.id, accent: null, backdrop: null, review: null });
    d.set('preferences', id, chosen);
  },
});
