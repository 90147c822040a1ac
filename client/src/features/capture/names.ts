import { isHere, type Person } from '@kotiva/core';

const beginsWith = (person: Person, typed: string): boolean =>
  person.name
    .toLowerCase()
    .split(/\s+/)
    .some((part) => part.startsWith(typed)) || person.mark.toLowerCase() === typed;

/** The name being typed after an @ at the end of the line, or null. */
export const nameBeingTyped = (line: string): string | null => /(?:^|\s)@(\p{L}*)$/u.exec(line)?.[1] ?? null;

/** The tag being typed after a # at the end of the line, or null. */
export const tagBeingTyped = (line: string): string | null => /(?:^|\s)#([\p{L}\p{N}_-]*)$/u.exec(line)?.[1] ?? null;

/** A name after an @ that nobody here has, or null. */
export function unknownName(line: string, people: readonly Person[]): string | null {
  for (const [, typed] of line.matchAll(/(?:^|\s)@(\p{L}[\p{L}\p{N}]*)(?=\s)/gu))
    if (!people.some((person) => isHere(person) && beginsWith(person, typed!.toLowerCase()))) return typed!;
  return null;
}

/** People a name begun with may mean. */
export const offered = (typed: string, people: readonly Person[]): Person[] =>
  people.filter((person) => isHere(person) && (typed === '' || beginsWith(person, typed.toLowerCase()))).slice(0, 6);
