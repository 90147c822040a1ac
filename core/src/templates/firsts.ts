import type { TemplateItem } from '../model/template.ts';

/** What has to be done first, of those that are there. A row from before that could be said names none. */
export const firstsOf = ({ firstIds }: Pick<TemplateItem, 'firstIds'>, there: { has(id: string): boolean }): string[] =>
  (firstIds ?? []).filter((id) => there.has(id));

/**
 * A way from an item back to itself, over what has to be done first: its steps, and what it or anything it is a step of waits for. The first
 * that is found, from an item to itself; null: there is none.
 */
export function wayRound(items: readonly TemplateItem[]): TemplateItem[] | null {
  const byId = new Map(items.map((item) => [item.id, item]));
  if (items.every((item) => firstsOf(item, byId).length === 0)) return null;
  const steps = new Map<string, string[]>();
  for (const { id, parentId } of items) if (parentId !== null) steps.set(parentId, [...(steps.get(parentId) ?? []), id]);
  const before = (item: TemplateItem): string[] => {
    const needed = [...(steps.get(item.id) ?? [])];
    for (let up: TemplateItem | undefined = item; up; up = up.parentId === null ? undefined : byId.get(up.parentId)) needed.push(...firstsOf(up, byId));
    return needed;
  };
  // each is finished with once all that comes before it has been walked: one met again before that closes a circle
  const state = new Map<string, 'begun' | 'over'>();
  for (const item of items) {
    const way = [{ item, rest: before(item) }];
    if (state.has(item.id)) continue;
    state.set(item.id, 'begun');
    for (let top = way.at(-1); top; top = way.at(-1)) {
      const next = top.rest.pop();
      if (next === undefined) {
        state.set(top.item.id, 'over');
        way.pop();
      } else if (state.get(next) === 'begun') {
        return [...way.slice(way.findIndex((one) => one.item.id === next)).map((one) => one.item), byId.get(next)!];
      } else if (!state.has(next)) {
        state.set(next, 'begun');
        way.push({ item: byId.get(next)!, rest: before(byId.get(next)!) });
      }
    }
  }
  return null;
}
