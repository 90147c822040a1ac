import { isHere, type FilterCondition, type Reader } from '@kotiva/core';
import type { Option } from '@/ui';
import { t, type WordKey } from '@/words';

/** What can be asked of items, in the order it is offered: one heading each. */
export const KINDS = ['tag', 'list', 'person', 'due', 'plan', 'importance', 'effort', 'words', 'field', 'place', 'situation', 'has', 'giver', 'bundle', 'project', 'done', 'made', 'touched'] as const; // prettier-ignore
export type Kind = (typeof KINDS)[number];

export const kindOf = (condition: FilterCondition): Kind | null => {
  if (condition.of === 'date') return condition.field === 'start' ? null : condition.field;
  return (KINDS as readonly string[]).includes(condition.of) ? (condition.of as Kind) : null;
};

export const wordOfKind = (kind: Kind): string => t(`filter.kind.${kind}` as WordKey);

/** What there is to choose from, by name; of what was removed nothing. */
export function choicesOf(kind: Kind, rows: Reader): Option<string>[] {
  const people = () => rows.all('person').filter(isHere);
  switch (kind) {
    case 'tag':
      return named(rows.all('tag')).map((one) => ({ ...one, words: `#${one.words}` }));
    case 'list':
      return named(rows.all('list').filter(({ filedAt }) => filedAt === null));
    case 'bundle':
      return named(rows.all('bundle'));
    case 'project':
      return named(rows.all('project'));
    case 'place':
      return named(rows.all('place'));
    case 'situation':
      return named(rows.all('situation'));
    case 'person':
      return [{ value: 'me', words: t('filter.mine') }, { value: 'nobody', words: t('filter.nobodys') }, ...named(people())];
    case 'giver':
      return [{ value: 'me', words: t('filter.byMe') }, ...named(people())];
    default:
      return [];
  }
}

function named(rows: readonly { id: string; name: string; removedAt?: string | null }[]): Option<string>[] {
  return rows
    .filter(({ removedAt }) => !removedAt)
    .sort((a, b) => a.name.localeCompare(b.name))
    .map(({ id, name }) => ({ value: id, words: name }));
}

/** What is chosen of a condition that names things. */
export const chosenOf = (condition: FilterCondition): readonly string[] => ('ids' in condition ? condition.ids : 'who' in condition ? condition.who : []);

/** A condition of a kind that names these; null: none, it goes. */
export function naming(kind: Kind, chosen: string[], not: boolean): FilterCondition | null {
  if (chosen.length === 0) return null;
  if (kind === 'person' || kind === 'giver') return { of: kind, who: chosen, not };
  return { of: kind as 'tag', ids: chosen, not };
}
