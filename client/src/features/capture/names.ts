import { isHere, type Person } from '@kotiva/core';

const MOST = 6;

const beginsWith = (person: Person, typed: string): boolean =>
  person.name
    .toLowerCase()
    .split(/\s+/)
    .some((part) => part.startsWith(typed)) || person.mark.toLowerCase() === typed;

/** The name or address being typed after an @ at the end of the line, or null. */
export const nameBeingTyped = (line: string): string | null => /(?:^|\s)@([^\s,;:"]*)$/u.exec(line)?.[1] ?? null;

/** The tag being typed after a # at the end of the line, or null: one of several words stands in quotes. */
export function tagBeingTyped(line: string): string | null {
  const found = /(?:^|\s)#(?:([\p{L}\p{N}_-]*)|"([^"]*))$/u.exec(line);
  return found ? (found[1] ?? found[2]!) : null;
}

/** The line with what is being typed at its end replaced by what was chosen. */
export const withChosen = (line: string, words: string): string => `${line.replace(/(?:#"[^"#]*|(?<=^|\s)[@#][^\s"#]*)$/u, '')}${words} `;

/** How a tag is written into the line. */
export const tagInLine = (name: string): string => (/^[\p{L}\p{N}_-]+$/u.test(name) ? `#${name}` : `#"${name}"`);

/** A name after an @ that nobody here has, or null. */
export function unknownName(line: string, people: readonly Person[], groups: readonly { name: string }[] = []): string | null {
  for (const [, typed] of line.matchAll(/(?:^|\s)@(\p{L}[\p{L}\p{N}]*)(?=\s)/gu))
    if (
      !groups.some(({ name }) => name.toLowerCase().startsWith(typed!.toLowerCase())) &&
      !people.some((person) => isHere(person) && beginsWith(person, typed!.toLowerCase()))
    )
      return typed!;
  return null;
}

/** People a name, mark or address begun with may mean; those whose name begins so first, then those that have it anywhere. */
export function offered(typed: string, people: readonly Person[]): Person[] {
  const wanted = typed.toLowerCase();
  const here = people.filter(isHere);
  if (wanted === '') return here.slice(0, MOST);
  const first = here.filter((person) => beginsWith(person, wanted));
  const others = here.filter((person) => !first.includes(person) && [person.name, person.email ?? ''].some((text) => text.toLowerCase().includes(wanted)));
  return [...first, ...others].slice(0, MOST);
}
