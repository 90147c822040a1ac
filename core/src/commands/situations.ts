import * as z from 'zod/mini';
import { Id, Name } from '../model/row-schema.ts';
import { SituationKind } from '../model/situation-schema.ts';
import { tagKey } from '../model/tag.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';

/** Situations: what has to be so for a thing to be done. One list for the house. */

function refuseKnown(name: string, except: string | null, d: Deciding): void {
  const known = d.all('situation').find((one) => !one.removedAt && one.id !== except && tagKey(one.name) === tagKey(name));
  if (known) refuse('name-taken', { name: known.name }, 'name');
}

export const makeSituation = commandKind({
  name: 'situation.make',
  payload: z.object({ name: Name, kind: SituationKind }),
  asks: () => [{ permission: 'keep' }],
  decide({ name, kind }, d) {
    refuseKnown(name, null, d);
    d.insert('situation', d.newId(), { name, kind, removedAt: null });
  },
});

export const changeSituation = commandKind({
  name: 'situation.change',
  payload: z.object({ situation: Id, name: z.optional(Name), kind: z.optional(SituationKind), removed: z.optional(z.boolean()) }),
  asks: () => [{ permission: 'manage' }],
  decide({ situation, name, kind, removed }, d) {
    if (name !== undefined) refuseKnown(name, situation, d);
    d.set('situation', situation, { name, kind, removedAt: removed === undefined ? undefined : removed ? d.now : null });
  },
});
