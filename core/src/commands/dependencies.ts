import { v5 } from 'uuid';
import { relationsToItem } from '../access/relations.ts';
import { isDone } from '../followup/standing.ts';
import { dependsOn } from '../followup/waiting.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Wait } from '../model/wait-schema.ts';
import type { Change } from '../reader/change.ts';
import { above, withBelow } from '../reader/tree.ts';
import type { Deciding } from './deciding.ts';
import { refuse } from './reasons.ts';

/** An item waits for so many others. */
export const MOST_DEPENDENCIES = 20;
/** So many wait for one: they all go on by the tick that does it. */
export const MOST_DEPENDENTS = 200;

/** What holds back no longer: done, left out, or gone. */
const isOver = (item: Item, d: Deciding): boolean => item.removedAt !== null || item.missedAt !== null || isDone(item, d.by('part', 'itemId', item.id));

/**
 * After every command, undoing included: what waits for an item that is done by now goes on, and waits again once that is opened again.
 * What was ended by hand stays ended.
 */
export function followWaits(d: Deciding): void {
  const changes = d.changes();
  const made = new Set(changes.flatMap((change) => (change.noun === 'item' && change.made ? [change.id] : [])));
  for (const change of changes) {
    // nothing waited for what this command made before it was there
    if (change.noun === 'wait') follow(d.need('wait', change.id), d);
    const itemId = touched(change, d);
    if (itemId !== null && !made.has(itemId)) for (const wait of d.by('wait', 'onItemId', itemId)) follow(wait, d);
  }
}

/** The item whose being done a change may have changed. */
function touched({ noun, id }: Change, d: Deciding): string | null {
  if (noun === 'part') return d.need('part', id).itemId;
  return noun === 'item' ? id : null;
}

function follow(wait: Wait, d: Deciding): void {
  const { id, endedAt, isFollowed } = wait;
  const onItemId = dependsOn(wait);
  // what isn't held here is judged where it is
  const first = onItemId === null ? undefined : d.find('item', onItemId);
  if (!first || (endedAt !== null && !isFollowed)) return;
  const over = isOver(first, d);
  if (over === (endedAt !== null)) return;
  d.set('wait', id, { endedAt: over ? d.now : null, isFollowed: over });
  if (over && first.removedAt === null) tellItGoesOn(wait, first, d);
}

/** Whoever has it in hand, and who marked it, hear that nothing is in the way any more. */
function tellItGoesOn({ itemId, makerId }: Wait, first: Item, d: Deciding): void {
  const item = d.find('item', itemId);
  if (!item || item.removedAt !== null) return;
  const parts = d.by('part', 'itemId', itemId);
  if (isDone(item, parts) || d.by('wait', 'itemId', itemId).some((wait) => wait.endedAt === null)) return;
  const holders = parts.filter(inHand).flatMap(({ personId }) => personId ?? []);
  for (const personId of new Set([makerId, ...holders])) d.notify(personId, 'goes-on', itemId, { title: item.title, first: first.title });
}

const inHand = ({ takenBackAt, passedTo, standing }: Part): boolean =>
  takenBackAt === null && passedTo === null && standing !== 'completed' && standing !== 'declined';

/**
 * Nothing waits for itself: not by what it waits for, nor by its steps, without which it isn't done, nor by what it is a step of, which can't
 * begin before. Refused with the way round; what the actor doesn't see of it stands there as a gap.
 */
export function refuseWaitingRound(wait: Wait, d: Deciding): void {
  const [itemId, onItemId] = [wait.itemId, dependsOn(wait)];
  if (onItemId === null || !isEdge(wait)) return;
  const home = withBelow(itemId, d);
  const way = home.has(onItemId) ? [onItemId] : wayInto(home, onItemId, d);
  if (way) refuse('wait-round', { way: [itemId, ...way, ...(way.at(-1) === itemId ? [] : [itemId])].map((id) => nameOf(id, d)).join(' → ') }, 'on');
}

/** From an item over what has to be done before it to one of these: the way there, itself and that included; null: none leads there. */
function wayInto(home: ReadonlySet<string>, from: string, d: Deciding): string[] | null {
  const cameFrom = new Map<string, string | null>([[from, null]]);
  const waiting = [from];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (home.has(id)) return wayTo(id, cameFrom);
    for (const next of neededBefore(id, d)) {
      if (cameFrom.has(next)) continue;
      cameFrom.set(next, id);
      waiting.push(next);
    }
  }
  return null;
}

function wayTo(end: string, cameFrom: ReadonlyMap<string, string | null>): string[] {
  const way: string[] = [];
  for (let id: string | null = end; id !== null; id = cameFrom.get(id) ?? null) way.unshift(id);
  return way;
}

/** Its steps, and what it or anything it is a step of waits for: also what is done by now, as that can be opened again. */
function* neededBefore(itemId: string, d: Deciding): Generator<string> {
  const item = d.find('item', itemId);
  if (!item) return;
  for (const step of d.by('item', 'parentId', itemId)) if (step.removedAt === null) yield step.id;
  for (const { id } of [item, ...above(item, d)]) for (const wait of d.by('wait', 'itemId', id)) if (isEdge(wait)) yield wait.onItemId!;
}

/** Where something came to lie under something else: everything in it that waits, and what it lies under now. */
export function refuseRoundOfMoved(item: Item, d: Deciding): void {
  for (const id of [...withBelow(item.id, d), ...[...above(item, d)].map((one) => one.id)]) refuseRoundsOf(id, d);
}

export function refuseRoundsOf(itemId: string, d: Deciding): void {
  for (const wait of d.by('wait', 'itemId', itemId)) refuseWaitingRound(wait, d);
}

/** Not ended by hand: what ended by itself may open again. */
export const isEdge = (wait: Wait): boolean => dependsOn(wait) !== null && (wait.endedAt === null || wait.isFollowed);

function nameOf(itemId: string, d: Deciding): string {
  const item = d.find('item', itemId);
  const isSeen = item !== undefined && (d.actorOrNull === null || relationsToItem(item, d.actorOrNull, d).length > 0);
  return isSeen ? `“${item.title}”` : '…';
}

/** What a template says has to be done first, of what is made of it: under ids that follow from both. */
export function insertDependency(itemId: string, onItemId: string, words: string, makerId: string, d: Deciding): void {
  const id = v5(`after:${onItemId}`, itemId);
  if (d.find('wait', id)) return;
  const wait = { itemId, onItemId, makerId, words: words.slice(0, 200), personId: null, askOn: null, toldOn: null };
  d.insert('wait', id, { ...wait, since: d.now, endedAt: null, isFollowed: false });
}
