import { isHere, type Person } from '../model/person.ts';
import type { Template, TemplateItem } from '../model/template.ts';
import { blanksIn } from './blanks.ts';

/** What has to be said before a template can be used. */
export interface Asked {
  /** Something in it has a day. */
  anchor: boolean;
  /** In the order they stand. */
  blanks: string[];
  roles: string[];
  /** Named in it, and no longer here: somebody else is asked for in their place. */
  gone: Person[];
}

interface People {
  find(noun: 'person', id: string): Person | undefined;
}

export const textsOf = (
  template: Pick<Template, 'name' | 'purpose' | 'sections' | 'text'>,
  items: readonly Pick<TemplateItem, 'title' | 'notes'>[],
): string[] => [
  template.name,
  template.purpose,
  ...template.sections.map(({ name }) => name),
  // a row from before talks had any has none
  template.text ?? '',
  ...items.flatMap(({ title, notes }) => [title, notes]),
];

/** Asked of all of it: `items` are those that count, in their order. */
export function askedBy(template: Template, items: readonly TemplateItem[], people: People): Asked {
  const roles = new Map<string, string>();
  const gone = new Map<string, Person>();
  for (const { holders } of items)
    for (const holder of holders) {
      if ('role' in holder) roles.set(holder.role.toLowerCase(), roles.get(holder.role.toLowerCase()) ?? holder.role);
      else {
        const person = people.find('person', holder.person);
        if (person && !isHere(person)) gone.set(person.id, person);
      }
    }
  return {
    anchor: items.some(({ due, start }) => due !== null || start !== null),
    blanks: blanksIn(textsOf(template, items)),
    roles: [...roles.values()],
    gone: [...gone.values()],
  };
}
