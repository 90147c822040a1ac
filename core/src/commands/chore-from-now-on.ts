import * as z from 'zod/mini';
import { isPlain, choreFileOf, MOST_ATTACHMENTS, MOST_CHORE_FILES } from '../model/attachment.ts';
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

const FILES = z.array(Id).check(z.maxLength(MOST_ATTACHMENTS));

/** The files that come with each one, with those of this item and without others. */
function goingAlong(series: Series, itemId: string, files: readonly string[], without: readonly string[], d: Deciding): string[] {
  const before = series.fileIds ?? [];
  const own = d.by('attachment', 'itemId', itemId).filter((file) => file.removedAt === null && isPlain(file));
  const masterOf = (file: string) => own.filter(({ id }) => id === file).map((one) => choreFileOf(one, before) ?? one.id);
  const ended = without.flatMap(masterOf);
  return [...new Set([...before, ...files.flatMap(masterOf)])].filter((id) => !ended.includes(id));
}

/** What was added to one occurrence comes with the later ones too: its notes, its tags, its files, or steps. The rule is not touched. */
export const fromNowOn = commandKind({
  name: 'chore.fromNowOn',
  payload: z.object({
    item: Id,
    steps: z.optional(z.array(Title).check(z.maxLength(MOST_STEPS))),
    notes: z.optional(z.boolean()),
    tags: z.optional(z.boolean()),
    /** What it asks for at the tick. */
    wanted: z.optional(z.boolean()),
    /** Attachments of this one, that come with the later ones too. */
    files: z.optional(FILES),
    /** Of those that came with it: later ones come without. */
    withoutFiles: z.optional(FILES),
  }),
  asks: ({ item }, d) => [askToChange(choreOf(item, d), d)],
  decide({ item: itemId, steps = [], notes, tags, wanted, files = [], withoutFiles = [] }, d) {
    const item = d.need('item', itemId);
    const series = choreOf(itemId, d) ?? refuse('not-to-come', { title: item.title });
    const all = [...series.steps, ...steps.filter((title) => !series.steps.includes(title))];
    if (all.length > MOST_STEPS) refuse('too-many', { max: MOST_STEPS }, 'steps');
    const fileIds = goingAlong(series, itemId, files, withoutFiles, d);
    if (fileIds.length > MOST_CHORE_FILES) refuse('too-many', { max: MOST_CHORE_FILES }, 'files');
    d.set('series', series.id, {
      steps: all,
      fileIds,
      ...(notes ? { notes: item.notes } : {}),
      ...(tags ? { tagIds: item.tagIds } : {}),
      ...(wanted ? { wanted: item.wanted } : {}),
    });
    d.enter('chore.fromNowOn', { itemId }, { steps });
  },
});
