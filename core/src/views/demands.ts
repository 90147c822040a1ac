import type { FilterCondition, Filter } from '../model/filter.ts';

/** What an item has to be to stand in a filtered view, as far as that is one value. */
export interface Demands {
  listId?: string;
  sectionId?: string;
  tagIds: string[];
  personId?: string | 'me' | 'nobody';
  placeId?: string;
  situationIds: string[];
  importance?: number;
}

/**
 * What is typed in a narrowed view takes over what the filter demands. `open` are the conditions that leave a choice, or can't be met by
 * adding: a new item may not stand there.
 */
export function demandsOf(filter: Filter): { demands: Demands; open: FilterCondition[] } {
  const demands: Demands = { tagIds: [], situationIds: [] };
  // of several that will do, which one is meant nobody can say
  if (filter.match === 'any' && filter.conditions.length > 1) return { demands, open: [...filter.conditions] };
  return { demands, open: filter.conditions.filter((condition) => !isTakenOver(condition, demands)) };
}

function isTakenOver(condition: FilterCondition, demands: Demands): boolean {
  // what it must not be, a new one is not
  if (condition.not) return isMetByNew(condition);
  switch (condition.of) {
    case 'tag':
      return one(condition.ids, (id) => demands.tagIds.push(id));
    case 'situation':
      return one(condition.ids, (id) => demands.situationIds.push(id));
    case 'list':
      return one(condition.ids, (id) => (demands.listId = id));
    case 'section':
      return one(condition.ids, (id) => (demands.sectionId = id));
    case 'place':
      return one(condition.ids, (id) => (demands.placeId = id));
    case 'person':
      return one(condition.who, (who) => (demands.personId = who));
    case 'importance':
      demands.importance = condition.least;
      return true;
    case 'date':
      return condition.span.kind === 'none' && (condition.field === 'due' || condition.field === 'start' || condition.field === 'plan');
    case 'effort':
      return condition.most === null;
    default:
      return false;
  }
}

/** A new item has nothing but a title. */
const isMetByNew = ({ of }: FilterCondition): boolean => ['tag', 'situation', 'has', 'words', 'place', 'giver'].includes(of);

function one<T>(values: readonly T[], take: (value: T) => unknown): boolean {
  if (values.length !== 1) return false;
  take(values[0]!);
  return true;
}
