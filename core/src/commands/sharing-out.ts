import * as z from 'zod/mini';
import { isDone, openParts } from '../followup/standing.ts';
import { Id } from '../model/row-schema.ts';
import { ONE } from './chores.ts';
import { handTo } from './handing.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';
import { asksForTurns, setTurn } from './turns.ts';

const MOST = 300;

/** The work of a week given out as it was proposed, all of it or some: one action with one way back. */
export const shareOutWeek = commandKind({
  name: 'week.shareOut',
  payload: z.object({
    items: z.array(z.object({ item: Id, person: Id })).check(z.maxLength(MOST)),
    turns: z.array(z.object({ ...ONE.shape, person: Id })).check(z.maxLength(MOST)),
  }),
  asks: ({ items, turns }, d) => [
    { permission: 'keep' },
    ...items.map(({ item }) => ({ permission: 'change', item }) as const),
    ...turns.flatMap((turn) => asksForTurns([turn], d)),
  ],
  decide({ items, turns }, d) {
    for (const { item: itemId, person } of items) {
      const item = d.need('item', itemId);
      const parts = d.by('part', 'itemId', itemId);
      // somebody took it, or it is done, since it was proposed
      if (item.removedAt !== null || isDone(item, parts) || openParts(parts).some(({ personId }) => personId !== null))
        refuse('no-longer-nobodys', { title: item.title });
      const to = needPerson(person, d, 'person');
      handTo(item, [to], '', d);
      d.enter('part.handOver', { itemId }, { to: [to.name], policy: item.policy, due: item.due });
    }
    for (const { person, ...one } of turns) setTurn(one, needPerson(person, d, 'person').id, null, d);
  },
});
