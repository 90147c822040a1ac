import type { Item } from '../model/item.ts';
import type { List, Stage } from '../model/list.ts';
import type { Part } from '../model/part.ts';
import { isDone } from './standing.ts';

export const MOST_STAGES = 12;

/** A row from before there were any has none. */
export const stagesOf = (list: Pick<List, 'stages'>): readonly Stage[] => list.stages ?? [];

/** A stage by its id, of whatever list. */
export function stageNamed(id: string, rows: { all(noun: 'list'): readonly List[] }): Stage | null {
  for (const list of rows.all('list')) for (const stage of stagesOf(list)) if (stage.id === id) return stage;
  return null;
}

/**
 * The stage an item of that list is in. What is done is in the stage that means so, where there is one; what was never put into a stage, or
 * into one that is gone, is in the first open one. A step is in none, nor is anything of a list without stages.
 */
export function stageOf(item: Pick<Item, 'stageId' | 'parentId' | 'confirm' | 'policy'>, list: Pick<List, 'stages'>, parts: readonly Part[]): Stage | null {
  const stages = stagesOf(list);
  if (stages.length === 0 || item.parentId !== null) return null;
  const done = stages.find((stage) => stage.isDone);
  if (done && isDone(item, parts)) return done;
  const open = stages.filter((stage) => !stage.isDone);
  return open.find(({ id }) => id === item.stageId) ?? open[0] ?? done ?? null;
}
