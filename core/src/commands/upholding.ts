import { FIRST_CHORE_YEAR, FIRST_YEAR, LAST_YEAR } from '../model/row.ts';
import type { Item } from '../model/item.ts';
import type { Noun } from '../model/nouns.ts';
import type { Series } from '../model/series.ts';
import type { Tag } from '../model/tag.ts';
import type { Change } from '../reader/change.ts';
import { above, DEEPEST, goesRound, levelsBelow } from '../reader/tree.ts';
import { choreFault, MOST_TIMES } from '../recurrence/chore-bounds.ts';
import { refuseRoundOfMoved, refuseRoundsOf, refuseWaitingRound } from './dependencies.ts';
import { refuseRound } from './projects.ts';
import type { Deciding } from './deciding.ts';
import { refuse } from './reasons.ts';

/**
 * What holds of every house, whatever was done in it and undone: looked at after each command, undoing included, on the rows it would
 * write. Refuses the command that would break it.
 */
export function uphold(d: Deciding): void {
  for (const change of d.changes()) {
    keepYears(change);
    KEPT_WHOLE[change.noun]?.(change, d);
  }
}

type Fields = Record<string, unknown>;

const KEPT_WHOLE: { [N in Noun]?: (change: Change, d: Deciding) => void } = {
  item: (change, d) => keepItemInPlace(change, d),
  wait: (change, d) => {
    if (change.made || 'endedAt' in change.fields) refuseWaitingRound(d.need('wait', change.id), d);
  },
  tag: (change, d) => keepTagInPlace(change, d),
  section: (change, d) => {
    if ('listId' in change.fields) d.need('list', (change.fields as { listId: string }).listId);
  },
  list: (change, d) => {
    const { bundleId } = change.fields as { bundleId?: string | null };
    if (bundleId) d.need('bundle', bundleId);
  },
  project: (change, d) => {
    if ('parentId' in change.fields) refuseRound(d.need('project', change.id), d);
  },
  series: (change, d) => {
    if (!('rrule' in change.fields) && !('afterDone' in change.fields)) return;
    const fault = choreFault(d.need('series', change.id) as Series);
    if (fault) refuse(fault, { max: MOST_TIMES }, 'rrule');
  },
};

/** It lies in a list of this house that is there, under nothing that lies under it, and not too deep. */
function keepItemInPlace({ id, made, fields }: Change, d: Deciding): void {
  if (!('parentId' in fields) && !('listId' in fields) && !('removedAt' in fields)) return;
  const item = d.need('item', id);
  if (item.removedAt !== null) return;
  if (item.parentId !== null && ('parentId' in fields || 'removedAt' in fields)) {
    keepBelow(item, item.parentId, d);
    if (!made && 'parentId' in fields) refuseRoundOfMoved(item, d);
    else if (!made) refuseRoundsOf(item.id, d);
  }
  // the clock goes on with what was begun before its list was removed
  if (item.listId !== null && 'listId' in fields && d.need('list', item.listId).removedAt !== null && d.context.account !== null)
    refuse('lies-in-removed', { title: item.title });
}

function keepBelow(item: Item, parentId: string, d: Deciding): void {
  const parent = d.need('item', parentId);
  // what is brought back in slices stands there a moment before what it lies under
  if (parent.purgedAt !== null || (parent.removedAt !== null && !d.context.slice)) refuse('lies-in-removed', { title: item.title });
  if (goesRound(item, (one) => (one.parentId === null ? undefined : d.find('item', one.parentId)))) refuse('into-itself', { title: item.title });
  const depth = [...above(item, d)].length;
  if (depth > DEEPEST || depth + levelsBelow(item.id, DEEPEST + 1 - depth, d) > DEEPEST) refuse('too-deep', { title: item.title, max: DEEPEST }, 'parent');
}

function keepTagInPlace({ id, fields }: Change, d: Deciding): void {
  if (!('parentId' in fields)) return;
  const tag = d.need('tag', id);
  if (tag.parentId === null) return;
  d.need('tag', tag.parentId);
  if (goesRound<Tag>(tag, (one) => (one.parentId === null ? undefined : d.find('tag', one.parentId)))) refuse('into-itself', { title: tag.name }, 'parent');
}

/** Which fields are dates, and from which year on. */
const DATES: { [N in Noun]?: Record<string, number> } = {
  item: { due: FIRST_YEAR, start: FIRST_YEAR },
  part: { plan: FIRST_YEAR, pulledInto: FIRST_YEAR, takenOff: FIRST_YEAR, askAgain: FIRST_YEAR },
  series: { dtstart: FIRST_CHORE_YEAR },
  override: { at: FIRST_YEAR },
  timeAway: { from: FIRST_YEAR, to: FIRST_YEAR },
  slot: { start: FIRST_YEAR },
  wait: { askOn: FIRST_YEAR },
  alarm: { snoozedUntil: FIRST_YEAR },
  errandRound: { date: FIRST_YEAR },
  meetingNote: { date: FIRST_YEAR },
};

function keepYears({ noun, fields }: Change): void {
  const dates = DATES[noun];
  if (!dates) return;
  for (const [field, first] of Object.entries(dates)) {
    const value = (fields as Fields)[field];
    if (typeof value !== 'string') continue;
    const year = Number(value.slice(0, 4));
    if (year < first || year > LAST_YEAR) refuse('year-out-of-range', { first, last: LAST_YEAR }, field);
  }
}
