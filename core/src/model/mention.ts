/** So many are addressed by one remark at most: more are everyone. */
export const MOST_MENTIONS = 20;

interface Named {
  id: string;
  name: string;
}

/** A letter, figure or mark of a word: what goes on after a name makes another word of it. */
const GOES_ON = /[\p{L}\p{N}_]/u;

/** The people a text addresses by `@` and their name, whatever the case, in the order of the text; a name that fits nobody addresses nobody. */
export function mentionsIn<P extends Named>(text: string, people: readonly P[]): P[] {
  const found = new Map<string, P>();
  for (const { person } of mentionsAt(text, people)) found.set(person.id, person);
  return [...found.values()].slice(0, MOST_MENTIONS);
}

/** Where they stand: `from` the `@`, up to `to`. The longest name that fits is meant. */
export function mentionsAt<P extends Named>(text: string, people: readonly P[]): { person: P; from: number; to: number }[] {
  const named = [...people].filter(({ name }) => name !== '').sort((a, b) => b.name.length - a.name.length);
  const places: { person: P; from: number; to: number }[] = [];
  // letter by letter as it stands: some letters are two in the other case, and what comes after them would stand elsewhere
  const startsAt = (name: string, at: number) => text.slice(at, at + name.length).toLowerCase() === name.toLowerCase();
  for (let from = text.indexOf('@'); from >= 0; from = text.indexOf('@', from + 1)) {
    // an address of mail is nobody's name
    if (from > 0 && GOES_ON.test(text[from - 1]!)) continue;
    const person = named.find(({ name }) => startsAt(name, from + 1) && !GOES_ON.test(text[from + 1 + name.length] ?? ' '));
    if (person) places.push({ person, from, to: from + 1 + person.name.length });
  }
  return places;
}

/** What is being typed of a name, at the end of a text; null: none is. */
export function mentionBegun(text: string): string | null {
  const begun = /(?:^|[^\p{L}\p{N}_])@([\p{L}\p{N}_-]{0,40})$/u.exec(text);
  return begun ? begun[1]! : null;
}
