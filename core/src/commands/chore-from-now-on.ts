import * as z from 'zod/mini';
import { Id, Title } from '../model/row-schema.ts';
import type { Series } from '../model/series.ts';
import { askToChange, MOST_STEPS } from './chore-fields.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';

function choreOf(itemId: string, d: Deciding): Series | undefined {
  const { seriesId } = d.need('item', itemId);
  return seriesId === null ? undefined : d.find('series', seriesId);
}

/** What was added to one occurrence comes with the later ones too: its notes, its tags, or steps. The rule is not touched. */
export const fromNowOn = commandKind({
  name: 'chore.fromNowOn',
  payload: z.object({
    item: Id,
    steps: z.optional(z.array(Title).check(z.maxLength(MOST_STEPS))),
    notes: z.optional(z.boolean()),
    tags: z.optional(z.boolean()),
    /** What it asks for at the tick. */
    wanted: z.optional(z.boolean()),
  }),
  asks: ({ item }, d) => [askToChange(choreOf(item, d), d)],
  decide({ item: itemId, steps = [], notes, tags, wanted }, d) {
    const item = d.need('item', itemId);
    const series = choreOf(itemId, d) ?? refuse('not-to-come', { title: item.title });
    const all = [...series.steps, ...steps.filter((title) => !series.steps.includes(title))];
    if (all.length > MOST_STEPS) refuse('too-many', { max: MOST_STEPS }, 'steps');
    d.set('series', series.id, {
      steps: all,
      ...(notes ? { notes: item.notes } : {}),
      ...(tags ? { tagIds: item.tagIds } : {}),
      ...(wanted ? { wanted: item.wanted } : {}),
    });
    d.enter('chore.fromNowOn', { itemId }, { steps });
  },
});
