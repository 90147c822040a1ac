import * as z from 'zod/mini';
import { isNarrowing } from '../model/filter.ts';
import { Filter } from '../model/filter-schema.ts';
import { BoardBy, Grouping, Layout, Sorting } from '../model/arrangement-schema.ts';
import { keyAtEnd } from '../model/position.ts';
import { Id, Name } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';

/** So many views a house keeps. */
const MOST_VIEWS = 300;

const ownView = ({ view }: { view: string }, d: Deciding) => {
  const held = d.find('savedView', view);
  if (held?.ownerId === d.actorOrNull?.id) return { permission: 'self', is: true } as const;
  return held?.isShared ? ({ permission: 'manage' } as const) : ({ permission: 'self', is: false } as const);
};

/** Keeps a filter under a name: for oneself, or for everybody of the house. */
export const makeSavedView = commandKind({
  name: 'savedView.make',
  payload: z.object({
    name: Name,
    filter: Filter,
    isShared: z._default(z.boolean(), false),
    group: z._default(Grouping, 'usual'),
    sort: z._default(Sorting, 'usual'),
    layout: z._default(Layout, 'rows'),
    boardBy: z._default(BoardBy, 'person'),
  }),
  asks: () => [{ permission: 'keep' }],
  decide({ name, filter, ...begins }, d) {
    refuseUnlessNarrowing(filter);
    const views = d.all('savedView').filter(({ removedAt }) => removedAt === null);
    if (views.length >= MOST_VIEWS) refuse('too-many', { max: MOST_VIEWS }, 'name');
    d.insert('savedView', d.newId(), { ownerId: d.actor.id, name, filter, ...begins, position: keyAtEnd(views), removedAt: null });
  },
});

export const changeSavedView = commandKind({
  name: 'savedView.change',
  payload: z.object({ view: Id, name: z.optional(Name), filter: z.optional(Filter), isShared: z.optional(z.boolean()), removed: z.optional(z.boolean()) }),
  asks: (payload, d) => [ownView(payload, d)],
  decide({ view, removed, ...fields }, d) {
    d.need('savedView', view);
    if (fields.filter) refuseUnlessNarrowing(fields.filter);
    d.set('savedView', view, { ...fields, ...(removed === undefined ? {} : { removedAt: removed ? d.now : null }) });
  },
});

function refuseUnlessNarrowing(filter: Filter): void {
  if (!isNarrowing(filter)) refuse('filter-empty', {}, 'filter');
}
