import { folded } from './terms.ts';

/** What is looked for: words, and signs that narrow it as they do in the line: `#tag`, `@person`. */
export interface FindQuery {
  words: string;
  tagIds: string[];
  personIds: string[];
}

interface Named {
  id: string;
  name: string;
}

/** Signs that name nothing stay words. */
export function readFindQuery(typed: string, known: { tags: readonly Named[]; people: readonly Named[] }): FindQuery {
  const query: FindQuery = { words: '', tagIds: [], personIds: [] };
  const idOf = (name: string, among: readonly Named[]) => among.find((one) => folded(one.name) === folded(name))?.id;
  query.words = typed.replace(/(^|\s)([#@])([^\s#@]+)/g, (whole, blank: string, sign: string, name: string) => {
    const id = idOf(name, sign === '#' ? known.tags : known.people);
    if (id === undefined) return whole;
    (sign === '#' ? query.tagIds : query.personIds).push(id);
    return blank;
  });
  return query;
}
