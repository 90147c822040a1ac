import { span } from './amounts.ts';
import type { CaptureContext, KnownName } from './context.ts';
import { pattern, WORD, type Line } from './line.ts';
import type { Question, Span } from './span.ts';

const escaped = (name: string): string => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+');
/** Longest first, so that "Village shop" is not read as "Village". */
const oneOf = (names: readonly string[]): string =>
  [...names]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|');

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
  return people.filter((one) => one.name.toLowerCase().split(/\s+/)[0] === wanted || one.mark.toLowerCase() === wanted).map(({ id }) => id);
}

/**
 * Who it goes to: `@Leila`, "ask Leila to …", a leading "For Leila:", "each of Leila and Noor", "@Leila or @Noor", "everyone".
 * A trailing "for Leila" is only offered: a present for Leila is not handed to her.
 */
export function findPeople(line: Line, context: CaptureContext): Named {
  const names = [...new Set(context.people.flatMap(({ name }) => [name, name.split(/\s+/)[0]!]))];
  const marks = context.people.map(({ mark }) => mark);
  const name = oneOf(names);
  const found: Named = { spans: [], questions: [] };
  if (names.length === 0) return found;
  const read = (match: RegExpExecArray, said: string[], policy: 'each' | 'any' | null, chosen = true) => {
    const ids: string[] = [];
    for (const one of said) {
      const meant = whoIs(one, context);
      if (meant.length > 1) {
        const [from, to] = [match.index, match.index + match[0].length];
        found.questions.push({ from, to, text: line.text(from, to), doubt: { code: 'which-person', name: one.trim(), ids: meant } });
        return;
      }
      ids.push(...meant);
    }
    if (ids.length === 0) return;
    found.spans.push(span(line, match, { kind: 'person', value: { ids: [...new Set(ids)], policy } }, chosen));
    if (chosen) line.take(match.index, match.index + match[0].length);
  };
  const list = (some: string) => `(?:${some})(?:(?:\\s*,\\s*|\\s+(?:and|or|&)\\s+)(?:${some}))*`;
  const parts = (said: string) => said.split(/\s*,\s*|\s+(?:and|or|&)\s+/i).map((one) => one.replace(/^@/, ''));
  const policyOf = (said: string, more: number): 'each' | 'any' | null => (more < 2 ? null : /\sor\s/i.test(said) ? 'any' : 'each');

  const at = `@(?:${oneOf([...names, ...marks])})`;
  for (const match of line.matches(new RegExp(`(?<![\\p{L}\\p{N}@])${list(at)}${WORD.after}`, 'giu')))
    read(match, parts(match[0]), policyOf(match[0], parts(match[0]).length));
  for (const match of line.matches(pattern(`each\\s+of\\s+(${list(name)})`))) read(match, parts(match[1]!), 'each');
  for (const match of line.matches(new RegExp(`^\\s*(?:please\\s+)?(?:ask|tell|get)\\s+(${list(name)})\\s+to\\s+`, 'giu')))
    read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length));
  for (const match of line.matches(new RegExp(`^\\s*(?:for\\s+)?(${list(name)})\\s*:\\s*`, 'giu')))
    read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length));
  for (const match of line.matches(/^\s*(?:ask|tell)\s+(everyone|everybody)\s+to\s+|(?<![\p{L}\p{N}])@?(everyone|everybody)\s*(?:$|:)/giu)) {
    found.spans.push(span(line, match, { kind: 'everyone', value: true }));
    line.take(match.index, match.index + match[0].length);
  }
  for (const match of line.matches(new RegExp(`(?<![\\p{L}\\p{N}])for\\s+(${list(name)})\\s*[.!]?\\s*$`, 'giu')))
    read(match, parts(match[1]!), policyOf(match[1]!, parts(match[1]!).length), false);
  return found;
}

/** `#shop`: letters, figures, and dashes between them. */
export function findTags(line: Line): Span[] {
  return [...line.matches(/(?<![\p{L}\p{N}#&/])#([\p{L}\p{N}][\p{L}\p{N}_-]{0,39})/gu)]
    .filter((match) => !/^\d+$/.test(match[1]!))
    .map((match) => span(line, match, { kind: 'tag', value: match[1]! }));
}

/** "at Quay" where it is a known place; "when I get to Quay", "when I leave Quay". */
export function findPlaces(line: Line, { places }: CaptureContext): Span[] {
  if (places.length === 0) return [];
  const name = oneOf(places.map((place) => place.name));
  const idOf = (said: string) => places.find((place) => isNamed(place, said))!.id;
  const spans: Span[] = [];
  const reminder = pattern(
    `(?:remind\\s+me\\s+)?when(?:ever)?\\s+(?:I|we|you)\\s+(get\\s+to|arrive\\s+at|reach|am\\s+at|are\\s+at|leave|go\\s+from)\\s+(?:the\\s+)?(${name})`,
  );
  for (const match of line.matches(reminder)) {
    const when = /leave|go/i.test(match[1]!) ? 'leave' : 'enter';
    spans.push(span(line, match, { kind: 'place-reminder', value: { place: idOf(match[2]!), when } }));
    line.take(match.index, match.index + match[0].length);
  }
  for (const match of line.matches(pattern(`at\\s+(?:the\\s+)?(${name})`))) spans.push(span(line, match, { kind: 'place', value: idOf(match[1]!) }));
  return spans.slice(0, 1);
}

/** "to" or "in" and the name of a list or section, at the end: only offered. "go to shop" may mean just that. */
export function findLists(line: Line, { lists }: CaptureContext): Span[] {
  const named = lists.flatMap((list) => [
    { name: list.name, value: { list: list.id, section: null as string | null } },
    ...list.sections.map((section) => ({ name: section.name, value: { list: list.id, section: section.id as string | null } })),
  ]);
  if (named.length === 0) return [];
  const source = `(?<![\\p{L}\\p{N}])(?:to|in|into|on)\\s+(?:the\\s+)?(${oneOf(named.map(({ name }) => name))})\\s*[.]?\\s*$`;
  for (const match of line.matches(new RegExp(source, 'giu'))) {
    const { value } = named.find(({ name }) => name.toLowerCase() === match[1]!.replace(/\s+/g, ' ').toLowerCase())!;
    return [span(line, match, { kind: 'list', value }, false)];
  }
  return [];
}

const isNamed = ({ name }: KnownName, said: string): boolean => name.toLowerCase() === said.replace(/\s+/g, ' ').toLowerCase();
