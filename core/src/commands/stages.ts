import * as z from 'zod/mini';
import { countingParts, isDone } from '../followup/standing.ts';
import { MOST_STAGES, stageOf, stagesOf } from '../followup/stages.ts';
import type { Item } from '../model/item.ts';
import type { List, Stage } from '../model/list.ts';
import type { Part } from '../model/part.ts';
import { Id, oneLine } from '../model/row-schema.ts';
import { completePart, settleNext } from './checking.ts';
import { notifyingOfCompletion, uncheckPart } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { partId } from './parts.ts';
import { refuse } from './reasons.ts';
import type { CommandRequest } from './required-permissions.ts';

/** The stages of a list, in their order: one without an id is new, one that is left out is gone, and what was in it is in the first. */
export const setStages = commandKind({
  name: 'list.setStages',
  payload: z.object({
    list: Id,
    stages: z.array(z.object({ id: z.optional(Id), name: oneLine(40), isDone: z._default(z.boolean(), false) })).check(z.maxLength(MOST_STAGES)),
  }),
  asks: ({ list }) => [{ permission: 'share', list }],
  decide({ list, stages }, d) {
    const names = stages.map(({ name }) => name.toLowerCase());
    const twice = stages.find(({ name }, nth) => names.indexOf(name.toLowerCase()) !== nth);
    if (twice) refuse('name-taken', { name: twice.name }, 'stages');
    if (stages.filter(({ isDone: means }) => means).length > 1) refuse('malformed', { field: 'stages' }, 'stages');
    if (stages.length > 0 && stages.every(({ isDone: means }) => means)) refuse('stage-open-needed', {}, 'stages');
    d.set('list', list, { stages: stages.map(({ id, ...stage }) => ({ id: id ?? d.newId(), ...stage })) });
  },
});

const listOf = (item: Item | undefined, d: Deciding): List | undefined => (item?.listId ? d.find('list', item.listId) : undefined);
const ownPart = (itemId: string, d: Deciding): Part | undefined => {
  const own = d.actorOrNull ? d.find('part', partId(itemId, d.actorOrNull.id)) : undefined;
  return own && own.takenBackAt === null ? own : undefined;
};

/** Whose it is moves it, and so does whoever may change it; into the stage that means done, and out of it, as a tick would. */
function asksToMove({ item: itemId, stage: stageId }: { item: string; stage: string }, d: Deciding): CommandRequest[] {
  const item = d.find('item', itemId);
  const list = listOf(item, d);
  const own = ownPart(itemId, d);
  const moves: CommandRequest = own ? { permission: 'self', is: true } : { permission: 'change', item: itemId };
  const meansDone = list !== undefined && stagesOf(list).some((stage) => stage.id === stageId && stage.isDone);
  const isTicked = item !== undefined && isDone(item, d.by('part', 'itemId', itemId));
  return meansDone === isTicked || own ? [moves] : [moves, { permission: 'check', item: itemId }];
}

export const toStage = commandKind({
  name: 'item.toStage',
  payload: z.object({ item: Id, stage: Id }),
  asks: asksToMove,
  decide({ item: itemId, stage: stageId }, d) {
    const item = d.need('item', itemId);
    const list = listOf(item, d) ?? refuse('gone', { noun: 'list' }, 'stage');
    const stage = stagesOf(list).find(({ id }) => id === stageId);
    if (!stage || item.parentId !== null) refuse('gone', { noun: 'stage' }, 'stage');
    const before = stageOf(item, list, d.by('part', 'itemId', itemId));
    if (before?.id === stage.id) return;
    if (stage.isDone) tick(item, d);
    else if (isDone(item, d.by('part', 'itemId', itemId))) untick(item, d);
    // what is done stands in the last open one again when it is opened
    if (!stage.isDone) d.set('item', itemId, { stageId });
    d.enter('item.toStage', { itemId }, { from: nameOf(before), to: stage.name });
  },
});

const nameOf = (stage: Stage | null): string => stage?.name ?? '';

/** One's own part, or nobody's; while others have theirs still to do it is not done, and they are named. */
function tick(item: Item, d: Deciding): void {
  const parts = countingParts(d.by('part', 'itemId', item.id));
  const part = ownPart(item.id, d) ?? parts.find(({ personId }) => personId === null);
  const others = parts.filter((one) => one.id !== part?.id && one.standing !== 'completed');
  if (!part || (item.policy === 'each' && others.length > 0)) refuse('others-open', { names: namesOf(others, d) }, 'stage');
  completePart(item, part, d);
}

function untick(item: Item, d: Deciding): void {
  const parts = countingParts(d.by('part', 'itemId', item.id)).filter(({ standing }) => standing === 'completed');
  const part = parts.find(({ personId }) => personId === d.actor.id) ?? parts.find(({ personId }) => personId === null);
  if (!part) refuse('others-done', { names: namesOf(parts, d) }, 'stage');
  settleNext(item, undefined, d);
  notifyingOfCompletion(item, d, () => uncheckPart(part.id, d));
}

const namesOf = (parts: readonly Part[], d: Deciding): string[] => parts.flatMap(({ personId }) => (personId ? (d.find('person', personId)?.name ?? []) : []));
