import { firstCompleted, isDone, openParts } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { bringNext, takeNextBack } from './appearing.ts';
import type { Deciding } from './deciding.ts';
import { listeners } from './following.ts';
import { relationsToItem } from '../access/relations.ts';
import { isGranted } from '../access/table.ts';

/**
 * Does something to the parts of an item and tells whoever waits for it if that completed or reopened the item:
 * once for the whole item, not for each part.
 */
export function notifyingOfCompletion(item: Item, d: Deciding, change: () => void): void {
  if (notifying(item, d, change) === 'opened') reopenAbove(item, d, '');
}

/** The same for undoing: what was done before the undone tick stays done, though a step of it opens again. */
export function notifyingOfUndoing(item: Item, d: Deciding, change: () => void): void {
  const ticked = firstCompleted(d.by('part', 'itemId', item.id))?.arrivedAt ?? '';
  if (notifying(item, d, change) === 'opened') reopenAbove(item, d, ticked);
}

function notifying(item: Item, d: Deciding, change: () => void): 'opened' | 'closed' | null {
  const before = isDone(item, d.by('part', 'itemId', item.id));
  change();
  const after = isDone(d.need('item', item.id), d.by('part', 'itemId', item.id));
  if (before === after) return null;
  if (after) bringNext(d.need('item', item.id), d);
  else takeNextBack(item, d);
  for (const personId of listeners(item, 'done', giversOf(item, d), d)) {
    if (after) d.notify(personId, 'completed', item.id, { title: item.title });
    else if (wasToldDone(personId, item, d)) d.notify(personId, 'reopened', item.id, { title: item.title });
  }
  if (after) askForWhole(item, d);
  return after ? 'closed' : 'opened';
}

/** The last step is done: whoever did it is asked about the whole where they did it; if they can't say, whoever can is told. */
function askForWhole(step: Item, d: Deciding): void {
  const whole = step.parentId === null ? undefined : d.find('item', step.parentId);
  if (!whole || whole.removedAt !== null) return;
  const parts = d.by('part', 'itemId', whole.id);
  const isOpen = (one: Item): boolean => one.removedAt === null && !isDone(one, d.by('part', 'itemId', one.id));
  if (isDone(whole, parts) || d.by('item', 'parentId', whole.id).some(isOpen)) return;
  const able = whoMaySay(whole, openParts(parts), d);
  if (d.actorOrNull && able.has(d.actorOrNull.id)) return;
  for (const personId of able) d.notify(personId, 'last-step', whole.id, { title: whole.title });
}

/** Who has it; of what nobody has, whose list or pile it lies in, and the actor if they may check there. */
function whoMaySay(item: Item, open: readonly Part[], d: Deciding): Set<string> {
  const holders = open.flatMap(({ personId }) => personId ?? []);
  if (holders.length > 0) return new Set(holders);
  const owner = item.listId === null ? item.makerId : d.find('list', item.listId)?.ownerId;
  const able = new Set(owner === undefined ? [] : [owner]);
  if (d.actorOrNull && relationsToItem(item, d.actorOrNull, d).some((relation) => isGranted(relation, 'check'))) able.add(d.actorOrNull.id);
  return able;
}

const wasToldDone = (personId: string, item: Item, d: Deciding): boolean =>
  d.by('notice', 'personId', personId).some((notice) => notice.itemId === item.id && notice.kind === 'completed' && notice.withdrawnAt === null);

/** Who gave parts that count. */
export function giversOf(item: Item, d: Deciding): Set<string> {
  const givers = new Set<string>();
  // of a chore, only those who follow it: else its maker would hear of every single time
  if (item.seriesId === null)
    for (const part of d.by('part', 'itemId', item.id)) {
      if (part.takenBackAt !== null) continue;
      if (part.giverId) givers.add(part.giverId);
      if (part.originId) givers.add(part.originId);
    }
  return givers;
}

/** Unticking a step opens its item again: every part checked off since then returns to where it stood. */
function reopenAbove(step: Item, d: Deciding, since: string): void {
  if (step.parentId === null) return;
  const parent = d.find('item', step.parentId);
  if (!parent || !isDone(parent, d.by('part', 'itemId', parent.id))) return;
  notifyingOfCompletion(parent, d, () => {
    for (const part of d.by('part', 'itemId', parent.id)) if (part.standing === 'completed' && part.arrivedAt! > since) uncheckPart(part.id, d);
  });
}

/** The part returns to where it stood before it was checked off. */
export function uncheckPart(partId: string, d: Deciding): void {
  const part = d.need('part', partId);
  const stood = part.stood ?? { standing: part.personId === null ? ('needs-action' as const) : ('accepted' as const), percent: 0 };
  d.set('part', part.id, { ...stood, completedAt: null, arrivedAt: null, completedBy: null, answer: null, tiedAt: null, stood: null, putAwayAt: null });
}
