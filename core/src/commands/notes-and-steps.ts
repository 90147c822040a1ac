import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { linesOfSteps, noteLines, stepsOfLines, withoutLines, type LineStep } from '../model/notes-lines.ts';
import { byPosition } from '../model/position.ts';
import { TEXT_MAX } from '../model/row.ts';
import { Id } from '../model/row-schema.ts';
import type { Reader } from '../reader/reader.ts';
import { withBelow } from '../reader/tree.ts';
import { containerOf, type Container } from './container.ts';
import type { Deciding } from './deciding.ts';
import { insertItem } from './inserting.ts';
import { commandKind } from './kind.ts';
import { partId } from './parts.ts';
import { refuse } from './reasons.ts';
import { removeWhole } from './removing.ts';

/** So many lines become steps in one action. */
const MOST_STEPS = 500;

/** Lines of an item's notes become steps of it, those further in below the others, boxes with their ticks. */
export const notesToSteps = commandKind({
  name: 'item.notesToSteps',
  /** `lines`: which, counted from 0 in the text as it was seen. */
  payload: z.object({ item: Id, lines: z.array(z.int().check(z.gte(0))).check(z.minLength(1), z.maxLength(MOST_STEPS)) }),
  asks: ({ item }) => [{ permission: 'answer', item }],
  decide({ item: itemId, lines }, d) {
    d.refuseIfChanged('item', itemId, 'notes');
    const { notes, makerId } = d.need('item', itemId);
    const gone = new Set(lines);
    const chosen = noteLines(notes).filter(({ at }) => gone.has(at));
    if (chosen.length === 0) refuse('nothing-chosen');
    makeSteps(stepsOfLines(chosen), { ...containerOf({ parent: itemId }, d), makerId }, d);
    d.set('item', itemId, { notes: withoutLines(notes, gone) });
    d.enter('item.notesToSteps', { itemId }, { count: chosen.length });
  },
});

function makeSteps(steps: readonly LineStep[], spot: Container & { makerId: string }, d: Deciding): void {
  for (const { title, notes, done, steps: below } of steps) {
    const made = insertItem(d, { ...spot, title, notes });
    if (done) tick(made, d);
    if (below.length > 0) makeSteps(below, { ...containerOf({ parent: made.id }, d), makerId: spot.makerId }, d);
  }
}

/** It was ticked in the notes: nobody is told of it anew. */
function tick({ id }: Item, d: Deciding): void {
  const now = { completedAt: d.now, arrivedAt: d.now, completedBy: d.actor.id };
  d.set('part', partId(id, null), { standing: 'completed', percent: 100, ...now, stood: { standing: 'needs-action', percent: 0 } });
}

/** Steps become lines of their item's notes, with their boxes and what stands below them; those that say more than a line stay. */
export const stepsToNotes = commandKind({
  name: 'item.stepsToNotes',
  payload: z.object({ item: Id, steps: z.array(Id).check(z.minLength(1), z.maxLength(MOST_STEPS)) }),
  asks: ({ item }) => [{ permission: 'answer', item }],
  decide({ item: itemId, steps }, d) {
    const { notes } = d.need('item', itemId);
    const rows = steps.map((id) => d.need('item', id)).filter((step) => step.parentId === itemId && step.removedAt === null);
    const plain = rows.filter((step) => [...withBelow(step.id, d)].every((id) => mayBeLine(d.need('item', id), d))).sort(byPosition);
    if (plain.length === 0) refuse('steps-say-more');
    const text = [notes, linesOfSteps(plain.map((step) => lineStepOf(step, d))).join('\n')].filter(Boolean).join('\n\n');
    if (text.length > TEXT_MAX) refuse('too-long', { max: TEXT_MAX });
    for (const { id } of plain) removeWhole(id, d);
    d.set('item', itemId, { notes: text });
    d.enter('item.stepsToNotes', { itemId }, { count: plain.length });
    if (plain.length < rows.length) d.note('steps-stay', { count: rows.length - plain.length });
  },
});

/** What was removed stays so. */
const mayBeLine = (step: Item, d: Deciding): boolean => step.removedAt !== null || isLine(step, d);

/** Nothing of it would be lost in a line: no day, nobody's name, nothing said, nothing with it. */
export function isLine(step: Item, d: Pick<Reader, 'by'>): boolean {
  if (step.due !== null || step.start !== null || step.placeId !== null || step.wanted !== null || step.seriesId !== null) return false;
  if (step.tagIds.length > 0 || step.situationIds.length > 0 || step.importance > 0 || step.effort !== null) return false;
  if (d.by('part', 'itemId', step.id).some((part) => part.personId !== null && part.takenBackAt === null)) return false;
  return (['comment', 'attachment', 'alarm'] as const).every((noun) => d.by(noun, 'itemId', step.id).every(({ removedAt }) => removedAt !== null));
}

function lineStepOf(step: Item, d: Deciding): LineStep {
  const part = d.find('part', partId(step.id, null));
  const below = d.by('item', 'parentId', step.id).filter(({ removedAt }) => removedAt === null);
  return { title: step.title, notes: step.notes, done: part?.standing === 'completed', steps: below.sort(byPosition).map((one) => lineStepOf(one, d)) };
}
