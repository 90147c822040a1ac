import { span } from './amounts.ts';
import type { CaptureContext, KnownName } from './context.ts';
import { WORD, type TypedLine } from './line.ts';
import type { Question, Span } from './span.ts';

const escaped = (name: string): string => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+');
/** So many names are looked for in a line. */
const MOST_NAMES = 1_000;
/** As patterns compare letters that ignore case: "ſ" is an "s". */
const folded = (name: string): string => name.replace(/\s+/g, ' ').toUpperCase().toLowerCase();

/**
 * Longest first, so that "Village shop" is not read as "Village"; each once, since a pattern that can be met in two ways is tried in
 * both.
 */
function oneOf(names: readonly string[]): string {
  const distinct = new Map(names.slice(0, MOST_NAMES).map((name) => [folded(name), name]));
  return [...distinct.values()]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|');
}

/** A name with what stands between names in it can't be told from several of them. */
const isOneName = (name: string): boolean => name.trim() !== '' && !/[,&]|(?:^|\s)(?:and|or)(?:\s|$)/i.test(name);

/** Patterns made of names are made once for the same names: five hundred lines are read against them. */
function remembered<K extends object, V>(make: (names: K) => V): (names: K) => V {
  const known = new WeakMap<K, V>();
  return (names) => {
    const held = known.get(names) ?? make(names);
    known.set(names, held);
    return held;
  };
}

export interface Named {
  spans: Span[];
  questions: Question[];
}

/** By whole name, first name or short mark. */
function whoIs(said: string, { people, meant }: CaptureContext): string[] {
  const wanted = said.trim().toLowerCase();
  const chosen = meant?.get(wanted);
  if (chosen) return [chosen];
  const whole = people.filter((one) => one.name.toLowerCase() === wanted);
  if (whole.length > 0) return whole.map(({ id }) => id);
  return people
    .filter(({ members }) => !members)
    .filter((one) => one.name.toLowerCase().split(/\s+/)[0] === wanted || one.mark.toLowerCase() === wanted)
    .map(({ id }) => id);
}

/** Who is in a group; undefined: it is somebody. */
const membersOf = (id: string, { people }: CaptureContext): readonly string[] | undefined => people.find((one) => one.id === id)?.members;

/** What tells of people rather than what they are to do: "Marek and Leila are coming". */
const NO_DEED =
  "are|is|were|was|be|have|had|has|will|would|may|might|can|could|should|must|both|from|at|in|on|of|with|like|likes|don|didn|won|can't|and|or|who|when|as";

/** How people stand in a line; null: there is nobody whose name can stand there. */
const patternsOfPeople = remembered((people: CaptureContext['people']) => {
  const names = people.flatMap(({ name, members }) => (members ? [name] : [name, name.split(/\s+/)[0]!])).filter(isOneName);
  if (names.length === 0) return null;
  const marks = people.flatMap(({ mark, members }) => (members ? [] : [mark])).filter(isOneName);
  const list = (some: string) => `(?:${some})(?:(?:\\s*,\\s*|\\s+(?:and|or|&)\\s+)(?:${some}))*`;
  const several = list(oneOf(names));
  const two = `(?:${oneOf(names)})(?:(?:\\s*,\\s*|\\s+(?:and|or|&)\\s+)(?:${oneOf(names)}))+`;
  return {
    at: new RegExp(`(?<![\\p{L}\\p{N}@])${list(`@(?:${oneOf([...names, ...marks])})`)}${WORD.after}`, 'giu'),
    each: new RegExp(`${WORD.before}(?:each\\s+of\\s+(${several}))${WORD.after}`, 'giu'),
    ask: new RegExp(`^\\s*(?:please\\s+)?(?:(?:ask|tell|get|remind)\\s+)?(${several})\\s+to\\s+`, 'giu'),
    subject: new RegExp(`^\\s*(${two})\\s+(?=[a-z])(?!(?:${NO_DEED})(?![\\p{L}\\p{N}]))`, 'gu'),
    called: new RegExp(`^\\s*(${several})(?:\\s*,\\s+(?:please\\s+)?|\\s+please\\s+)(?=[a-z])(?!(?:${NO_DEED})(?![\\p{L}\\p{N}]))`, 'gu'),
    leading: new RegExp(`^\\s*(?:for\\s+)?(${several})\\s*:\\s*`, 'giu'),
    trailing: new RegExp(`(?<![\\p{L}\\p{N}])for\\s+(${several})\\s*[.!]?\\s*$`, 'giu'),
  };
});

/** How places do. */
const patternsOfPlaces = remembered((places: CaptureContext['places']) => {
  const name = oneOf(places.map((place) => place.name));
  const coming = `(?:remind\\s+me\\s+)?when(?:ever)?\\s+(?:I|we|you)\\s+(get\\s+to|arrive\\s+at|reach|am\\s+at|are\\s+at|leave|go\\s+from)`;
  const whole = (source: string) => new RegExp(`${WORD.before}(?:${source})${WORD.after}`, 'giu');
  return { reminder: whole(`${coming}\\s+(?:the\\s+)?(${name})`), place: whole(`at\\s+(?:the\\s+)?(${name})`) };
});

/** Lists and their sections, with the pattern of one that ends a line. */
const patternsOfLists = remembered((lists: CaptureContext['lists']) => {
  const named = lists.flatMap((list) => [
    { name: list.name, value: { list: list.id, section: null as string | null } },
    ...list.sections.map((section) => ({ name: section.name, value: { list: list.id, section: section.id as string | null } })),
  ]);
  const source = `(?<![\\p{L}\\p{N}])(?:to|in|into|on)\\s+(?:the\\s+)?(${oneOf(named.map(({ name }) => name))})\\s*[.]?\\s*$`;
  const leading = `^\\s*(${oneOf(named.map(({ name }) => name))})\\s*:\\s+`;
  return { named, ending: new RegExp(source, 'giu'), leading: new RegExp(leading, 'giu') };
});

/**
 * Who it goes to: `@Leila`, "ask Leila to …", a leading "For Leila:", "each of Leila and Noor", "@Leila or @Noor", "everyone".
 * A trailing "for Leila" is only offered: a present for Leila is not handed to her.
 */
export function findPeople(line: TypedLine, context: CaptureContext): Named {
  const found: Named = { spans: [], questions: [] };
  const patterns = patternsOfPeople(context.people);
  if (patterns === null) return found;
  const read = (match: RegExpExecArray, said: string[], policy: 'each' | 'any' | null, chosen = true) => {
    const ids: string[] = [];
    let isGroup = false;
    for (const one of said) {
      const meant = whoIs(one, context);
      if (meant.length > 1) {
        const [from, to] = [match.index, match.index + match[0].length];
        found.questions.push({ from, to, text: line.text(from, to), doubt: { code: 'which-person', name: one.trim(), ids: meant } });
        return;
      }
      const members = meant.flatMap((id) => membersOf(id, context) ?? []);
      isGroup ||= members.length > 0;
      ids.push(...(members.length > 0 ? members : meant));
    }
    if (ids.length === 0) return;
    found.spans.push(span(line, match, { kind: 'person', value: { ids: [...new Set(ids)], policy: policy ?? (isGroup ? 'any' : null) } }, chosen));
    if (chosen) line.take(match.index, match.index + match[0].length);
  };
  const parts = (said: string) => said.split(/ ?, ?| (?:and|or|&) /i).map((one) => one.replace(/^@/, ''));
  const policyOf = (said: string, more: number): 'each' | 'any' | null => (more < 2 ? null : /\sor\s/i.test(said) ? 'any' : 'each');

  for (const match of line.matches(patterns.at)) read(match, parts(match[0]), policyOf(match[0], parts(match[0]).length));
  for (const match of line.matches(patterns.each)) read(match, parts(match[1]!), 'each');
  for (const match of line.matches(patterns.ask)) read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length));
  for (const match of line.matches(patterns.subject)) read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length));
  for (const match of line.matches(patterns.called)) read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length));
  for (const match of line.matches(patterns.leading)) read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length));
  for (const match of line.matches(
    /^\s*(?:please\s+)?(?:(?:ask|tell|get|remind)\s+)?(everyone|everybody)\s+to\s+|(?<![\p{L}\p{N}])@?(everyone|everybody)\s*(?:$|:)/giu,
  )) {
    found.spans.push(span(line, match, { kind: 'everyone', value: true }));
    line.take(match.index, match.index + match[0].length);
  }
  for (const match of line.matches(patterns.trailing)) read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length), false);
  return found;
}

/** What it is done to, or for, or with: "Thank everyone", "Presents for everyone". */
const OBJECT = /(?<!\p{L})(?:to|with|for|of|from|at|by|about|and|or|than|on|in|tell|ask|thank|invite|call|ring|see|meet) $/iu;
const isObject = (before: string): boolean => OBJECT.test(before) || before.trim().split(' ').length < 2;

/** Everyone, with nothing of the title behind it: what stands there has been read. */
export function findEveryone(line: TypedLine): Span[] {
  return [...line.matches(/(?<![\p{L}\p{N}])@?(?:everyone|everybody)(?=[\s,.\0]*$)/giu)]
    .filter(({ index }) => !isObject(line.rest.slice(0, index).replaceAll('\0', '')))
    .map((match) => span(line, match, { kind: 'everyone', value: true }));
}

/** `#shop`, and in quotes `#"front door"`: letters, figures, and dashes between them. */
export function findTags(line: TypedLine): Span[] {
  return [...line.matches(/(?<![\p{L}\p{N}#&/])#(?:([\p{L}\p{N}][\p{L}\p{N}_-]{0,39})|"([\p{L}\p{N}][\p{L}\p{N} _-]{0,39})")/gu)]
    .filter((match) => !/^\d+$/.test(match[1] ?? match[2]!))
    .map((match) => span(line, match, { kind: 'tag', value: match[1] ?? match[2]!.trim() }));
}

/** "at Quay" where it is a known place; "when I get to Quay", "when I leave Quay". */
export function findPlaces(line: TypedLine, { places }: CaptureContext): Span[] {
  if (places.length === 0) return [];
  const patterns = patternsOfPlaces(places);
  const idOf = (said: string) => places.find((place) => isNamed(place, said))?.id;
  const spans: Span[] = [];
  for (const match of line.matches(patterns.reminder)) {
    const place = idOf(match[2]!);
    if (place === undefined) continue;
    const when = /leave|go/i.test(match[1]!) ? 'leave' : 'enter';
    spans.push(span(line, match, { kind: 'place-reminder', value: { place, when } }));
    line.take(match.index, match.index + match[0].length);
  }
  for (const match of line.matches(patterns.place)) {
    const place = idOf(match[1]!);
    if (place !== undefined) spans.push(span(line, match, { kind: 'place', value: place }));
  }
  return spans.slice(0, 1);
}

/** A list's or section's name and a colon in front; "to" or "in" and the name at the end is only offered. "go to shop" may mean just that. */
export function findLists(line: TypedLine, { lists }: CaptureContext): Span[] {
  if (lists.length === 0) return [];
  const { named, ending, leading } = patternsOfLists(lists);
  for (const [pattern, chosen] of [
    [leading, true],
    [ending, false],
  ] as const)
    for (const match of line.matches(pattern)) {
      const known = named.find(({ name }) => folded(name) === folded(match[1]!));
      if (known) return [span(line, match, { kind: 'list', value: known.value }, chosen)];
    }
  return [];
}

const isNamed = ({ name }: KnownName, said: string): boolean => folded(name) === folded(said);
