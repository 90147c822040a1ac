import { isHere, type Person } from '@kotiva/core';

const beginsWith = (person: Person, typed: string): boolean => person.name.toLowerCase().startsWith(typed) || person.mark.toLowerCase() === typed;

/** The name being typed after an @ at the end of the line, or null. */
export const nameBeingTyped = (line: string): string | null => /(?:^|\s)@(\p{L}*)$/u.exec(line)?.[1] ?? null;

/** People a name begun with may mean. */
export const offered = (typed: string, people: readonly Person[]): Person[] =>
  people.filter((person) => isHere(person) && (typed === '' || beginsWith(person, typed.toLowerCase()))).slice(0, 6);

export interface Captured {
  title: string;
  persons: Person[];
  /** Written like a name, but nobody is called that: it stays in the title. */
  unknown: string[];
  /** Fits more than one person: asked before anything is made. */
  unclear: { typed: string; people: Person[] } | null;
}

/** Takes `@NAME` out of a line: by first name or short mark; whoever is not known stays in the title. */
export function readLine(line: string, people: readonly Person[], settled: ReadonlyMap<string, string> = new Map()): Captured {
  const captured: Captured = { title: '', persons: [], unknown: [], unclear: null };
  const kept = line.replace(/(^|\s)@([\p{L}\p{N}]+)/gu, (whole, before: string, typed: string) => {
    const chosen = settled.get(typed.toLowerCase());
    const found = people.filter((person) => isHere(person) && (chosen ? person.id === chosen : isCalled(person, typed)));
    if (found.length === 1) captured.persons.push(found[0]!);
    else if (found.length > 1) captured.unclear ??= { typed, people: found };
    else captured.unknown.push(typed);
    return found.length === 1 ? before : whole;
  });
  captured.title = kept.replace(/\s+/g, ' ').trim();
  return captured;
}

function isCalled(person: Person, typed: string): boolean {
  const wanted = typed.toLowerCase();
  const name = person.name.toLowerCase();
  return name === wanted || name.split(/\s+/)[0] === wanted || person.mark.toLowerCase() === wanted;
}
