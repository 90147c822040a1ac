import * as z from 'zod/mini';
import { FILES_KEPT_DAYS } from '../model/attachment.ts';
import type { Noun, Row } from '../model/nouns.ts';
import type { Part } from '../model/part.ts';
import { stampOf } from '../model/row.ts';
import { Id } from '../model/row-schema.ts';
import type { RecordedChange, RecordedCommand } from '../reader/reader.ts';
import { epochOf } from '../time/epoch.ts';
import { isUntouched, withdraw } from './appearing.ts';
import { notifyingOfUndoing } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { containerOf, moveStepsAlong } from './container.ts';
import { commandKind } from './kind.ts';
import { notifyTakenBack, settleNobody } from './parts.ts';
import { SLICE_ROWS } from './slicing.ts';
import { refuse } from './reasons.ts';
import { isUndoable } from './undoable.ts';
import { removeWhole } from './removing.ts';
import { removeFilesOf } from './removing-files.ts';

/** How the making of a row is taken back: it is never deleted. Nouns that are not here stay as they are. */
const UNMADE: Partial<Record<Noun, (d: Deciding, row: Row) => Record<string, unknown>>> = {
  // it ends with its first
  series: (_, row) => ({ endsBefore: (row as Row<'series'>).dtstart }),
  override: () => ({ at: null, skipped: false, personId: null, countsFor: null }),
  place: (d) => ({ removedAt: d.now }),
  errandRound: (d) => ({ endedAt: d.now }),
  situation: (d) => ({ removedAt: d.now }),
  savedView: (d) => ({ removedAt: d.now }),
  pin: (d) => ({ endedAt: d.now }),
  bundle: (d) => ({ removedAt: d.now }),
  list: (d) => ({ removedAt: d.now }),
  section: (d) => ({ removedAt: d.now }),
  share: () => ({ access: null }),
  item: (d) => ({ removedAt: d.now }),
  attachment: (d) => ({ removedAt: d.now }),
  comment: (d) => ({ removedAt: d.now }),
  project: (d) => ({ removedAt: d.now }),
  membership: (d) => ({ endedAt: d.now }),
  template: (d) => ({ removedAt: d.now }),
  templateItem: (d) => ({ removedAt: d.now }),
  peopleGroup: (d) => ({ removedAt: d.now }),
  ownField: (d) => ({ removedAt: d.now }),
  fieldValue: () => ({ value: null, isCleared: false }),
  guest: (d) => ({ endedAt: d.now }),
  watch: () => ({ on: false }),
  listWatch: () => ({ on: false }),
  alarm: (d) => ({ removedAt: d.now }),
  wait: (d) => ({ endedAt: d.now, isFollowed: false }),
  matter: (d) => ({ removedAt: d.now }),
  meetingNote: (d) => ({ removedAt: d.now }),
  talk: (d) => ({ endedAt: d.now }),
  slot: (d) => ({ removedAt: d.now }),
  timeAway: (d) => ({ removedAt: d.now }),
  invitation: (d) => ({ withdrawnAt: d.now }),
};

/** What history and telling leave behind is not restored. */
const KEPT: readonly Noun[] = ['activity', 'person'];

/** Restores each field only where that action is still its last writer, and says what it left alone. */
export const undo = commandKind({
  name: 'undo',
  /** `from`: of a slice, the first of the rows it is about. */
  payload: z.object({ command: Id, from: z.optional(z.int().check(z.gte(0))) }),
  asks: ({ command }, d) => [{ permission: 'self', is: d.command(command).actorId === (d.actorOrNull?.id ?? '') }],
  decide({ command, from: sliceFrom }, d) {
    const whole = d.command(command);
    const recorded = d.context.slice || d.context.ahead ? stretchOf(whole, d.context.slice ? sliceFrom : 0) : whole;
    if (!isUndoable(recorded.name)) refuse('nothing-to-undo');
    // whoever changed the house may since have become somebody who must not
    if (whole.changes.some(({ noun }) => noun === 'house') && d.actor.role !== 'manager') refuse('not-allowed');
    const items = touchedItems(recorded, d);
    restoreTelling(items, d, () => {
      for (const change of recorded.changes) if (!KEPT.includes(change.noun)) restore(change, whole, d);
      for (const { noun, id } of recorded.changes) if (noun === 'item') keepTogether(id, d);
      if (recorded.changes.some(({ noun }) => noun === 'part')) for (const itemId of items) settleNobody(itemId, d);
    });
    for (const itemId of items) d.enter('undo', { itemId }, { command: recorded.name });
  },
});

/** A step is where its item is: it goes back with what it lies under now, and what was put under it since goes with it. */
function keepTogether(itemId: string, d: Deciding): void {
  const { parentId, listId, sectionId } = d.need('item', itemId);
  const spot = parentId === null ? { listId, sectionId, parentId } : containerOf({ parent: parentId }, d);
  if (spot.listId !== listId || spot.sectionId !== sectionId) d.set('item', itemId, { listId: spot.listId, sectionId: spot.sectionId });
  moveStepsAlong(itemId, spot, d);
}

const stretchOf = (whole: RecordedCommand, from = 0): RecordedCommand => ({ ...whole, changes: whole.changes.slice(from, from + SLICE_ROWS) });

function touchedItems(recorded: RecordedCommand, d: Deciding): string[] {
  const ids = new Set<string>();
  for (const { noun, id } of recorded.changes) {
    if (noun === 'item') ids.add(id);
    if (noun === 'part') ids.add(d.need('part', id).itemId);
  }
  return [...ids];
}

function restoreTelling(items: string[], d: Deciding, change: () => void): void {
  const [first, ...rest] = items;
  if (first === undefined) return change();
  const item = d.need('item', first);
  notifyingOfUndoing(item, d, () => restoreTelling(rest, d, change));
}

/** Files added since to what is not made after all: nothing leads to them any more. */
function removeFilesWith(noun: Noun, id: string, d: Deciding): void {
  if (noun === 'comment') removeFilesOf(d.need('comment', id).itemId, d, ({ commentId }) => commentId === id);
  if (noun === 'project' || noun === 'meetingNote') removeFilesOf(id, d);
}

function restore(change: RecordedChange, recorded: RecordedCommand, d: Deciding): void {
  const row = d.find(change.noun, change.id);
  if (!row) return;
  if (change.noun === 'attachment' && isGone(row as Row<'attachment'>, d)) return d.note('left-alone', { fields: ['file'], title: nameOf(row, d) });
  if (change.noun === 'notice') return withdrawNotice(row as Row<'notice'>, recorded, d);
  if (change.before === null && cameWithNext(change, row, recorded, d)) return;
  if (change.noun === 'part' && isHandover(change, row as Part)) return takeBackPart(row as Part, change, recorded, d);
  if (change.before === null) {
    const unmade = UNMADE[change.noun];
    if (unmade) restoreFields(change.noun, row, unmade(d, row), recorded.id, d);
    // what was put under it since goes along
    if (change.noun === 'item' && d.need('item', change.id).removedAt !== null) removeWhole(change.id, d);
    removeFilesWith(change.noun, change.id, d);
    return;
  }
  restoreFields(change.noun, row, change.before, recorded.id, d);
}

/**
 * The next of a chore, which a check-off brought: it goes as a whole, unless somebody has begun with it. What it came with goes or stays
 * with it.
 */
function cameWithNext({ noun, id }: RecordedChange, row: Row, recorded: RecordedCommand, d: Deciding): boolean {
  if (!isCheckOff(recorded.name)) return false;
  if (noun === 'part' || noun === 'alarm')
    return recorded.changes.some((change) => change.noun === 'item' && change.before === null && change.id === (row as Part).itemId);
  if (noun !== 'item') return false;
  const item = row as Row<'item'>;
  if (item.parentId !== null) return recorded.changes.some((change) => change.noun === 'item' && change.before === null && change.id === item.parentId);
  if (item.seriesId === null || item.removedAt !== null) return false;
  if (isUntouched(item, d)) withdraw(d.need('item', id), d);
  else d.note('left-alone', { fields: ['next'], title: item.title });
  return true;
}

const isCheckOff = (name: string): boolean => name.startsWith('part.') || name === 'item.toStage';

function restoreFields(noun: Noun, row: Row, before: Record<string, unknown>, commandId: string, d: Deciding): void {
  const mine: Record<string, unknown> = {};
  const others: string[] = [];
  for (const [field, value] of Object.entries(before)) {
    if (stampOf(row, field)?.c === commandId) mine[field] = value;
    else if ((row as unknown as Record<string, unknown>)[field] !== value) others.push(field);
  }
  if (Object.keys(mine).length > 0) d.set(noun, row.id, mine as never);
  if (others.length > 0) d.note('left-alone', { fields: others, title: nameOf(row, d) });
}

/** What a row is called, or what it belongs to is: a part, a reminder or a turn has no name of its own. */
function nameOf(row: Row, d: Deciding): string {
  const { title, name, itemId, seriesId, listId } = row as { title?: string; name?: string; itemId?: string; seriesId?: string; listId?: string };
  const own = title ?? name;
  if (own !== undefined) return own;
  if (itemId) return d.find('item', itemId)?.title ?? '';
  if (seriesId) return d.find('series', seriesId)?.title ?? '';
  return listId ? (d.find('list', listId)?.name ?? '') : '';
}

const isHandover = (change: RecordedChange, part: Part): boolean => part.personId !== null && (change.before === null || 'givenAt' in change.before);

/** A handover that showed a sign of life is taken back openly, not undone. */
function takeBackPart(part: Part, change: RecordedChange, recorded: RecordedCommand, d: Deciding): void {
  const answered = part.lastSignAt !== null && part.personId !== d.actor.id;
  if (answered) {
    d.set('part', part.id, { takenBackAt: d.now });
    notifyTakenBack(part, d.need('item', part.itemId), d);
    d.note('taken-back', { name: d.find('person', part.personId!)?.name ?? '' });
    return;
  }
  if (change.before === null) d.set('part', part.id, { takenBackAt: d.now });
  else restoreFields('part', part, change.before, recorded.id, d);
}

const DAY_MS = 86_400_000;

/** Taken away so long ago that its bytes are no longer kept. */
const isGone = ({ removedAt }: Row<'attachment'>, d: Deciding): boolean =>
  removedAt !== null && epochOf(removedAt) + FILES_KEPT_DAYS * DAY_MS <= epochOf(d.now);

/** Nobody is told of what did not happen, unless they have read it already. */
function withdrawNotice(notice: Row<'notice'>, recorded: RecordedCommand, d: Deciding): void {
  if (stampOf(notice, '')?.c === recorded.id && notice.readAt === null) d.set('notice', notice.id, { withdrawnAt: d.now });
}
