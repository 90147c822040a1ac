import { findAlarm, findEffort, findImportance } from './amounts.ts';
import { plus } from './calendar-words.ts';
import type { CaptureContext } from './context.ts';
import { findDays, hourOf, type FoundDay } from './dates.ts';
import { foldBlanks, trimmedOf } from './folding.ts';
import { Line } from './line.ts';
import { findLists, findPeople, findPlaces, findTags } from './names.ts';
import { findRule } from './recurrence.ts';
import { spanName, type Question, type Span } from './span.ts';
import { findTimes, type FoundTime } from './times.ts';

export interface ReadLine {
  /** What is left when the chosen stretches are taken out. */
  title: string;
  spans: Span[];
  questions: Question[];
}

/**
 * Reads one typed line: words, not codes. What is not understood stays in the title; what is uncertain is offered, not chosen;
 * what contradicts itself is asked. Nothing is lost: `piecesOf` gives the line back as it was typed.
 */
export function readLine(typed: string, context: CaptureContext): ReadLine {
  const folded = foldBlanks(typed);
  if (folded === null) return { title: titleOf(typed, []), spans: [], questions: [] };
  const { spans, questions } = readFolded(folded.text, context);
  const asTyped = <S extends { from: number; to: number; text: string }>(one: S): S => {
    const [from, to] = [folded.typedAt(one.from), folded.typedAt(one.to)];
    return { ...one, from, to, text: typed.slice(from, to) };
  };
  const read = { spans: spans.map(asTyped), questions: questions.map(asTyped) };
  return { title: titleOf(typed, read.spans), ...read };
}

function readFolded(text: string, context: CaptureContext): Pick<ReadLine, 'spans' | 'questions'> {
  const line = new Line(text);
  const spans: Span[] = [];
  const questions: Question[] = [];
  const keep = (found: readonly Span[]) => {
    for (const one of found) {
      if (context.declined?.has(spanName(one))) {
        line.take(one.from, one.to);
        continue;
      }
      spans.push(one);
      line.take(one.from, one.to);
    }
  };
  const people = findPeople(line, context);
  keep(people.spans);
  questions.push(...people.questions);
  keep(findTags(line));
  keep(findAlarm(line));
  keep(findRule(line));
  keep(findPlaces(line, context));
  keep(findImportance(line));
  keep(findEffort(line));
  readDates(line, context, keep, questions);
  keep(findLists(line, context));
  spans.sort((a, b) => a.from - b.from);
  return { spans, questions };
}

type DateKind = 'due' | 'plan' | 'start';
const PREPOSITION = /(?<![\p{L}\p{N}])(by|until|due|on|from|not\s+before|starting|before|at)\s+$/iu;

/** What makes a moment a reminder: "remind me on Friday at 9". */
const REMIND = /(?<![\p{L}\p{N}])remind\s+(?:me|us)\s+$/iu;

/** Days with their hours and the word before them: `by` a deadline, `on` or nothing a plan, `from` not before. */
function readDates(line: Line, context: CaptureContext, keep: (found: readonly Span[]) => void, questions: Question[]): void {
  const days = findDays(line, context);
  const times = findTimes(line, context).filter((time) => !days.some((day) => time.from < day.to && time.to > day.from));
  const seen = new Set<DateKind>();
  for (const moment of joined(line, days, times, context)) {
    const { from, to, value, word, day } = moment;
    const text = line.text(from, to);
    if (day?.doubt) {
      questions.push({ from, to, text, doubt: day.doubt });
      continue;
    }
    const asked = REMIND.exec(line.rest.slice(0, from));
    if (asked) {
      const at = value.length > 10 ? value : `${value}T${hourOf('morning', context)!}`;
      keep([{ kind: 'alarm', from: asked.index, to, text: line.text(asked.index, to), value: { at }, chosen: true }]);
      continue;
    }
    const kind = kindOf(word);
    const sure = word !== null || (day === null && /^(at|in)\s/i.test(text)) || line.isAtEdge(from, to);
    if (sure && seen.has(kind)) continue;
    if (sure) seen.add(kind);
    keep([{ kind, from, to, text, value: word === 'before' ? plus(value.slice(0, 10), { days: -1 }) : value, chosen: sure } as Span]);
  }
}

function kindOf(word: string | null): DateKind {
  if (word === null || word === 'on' || word === 'at') return 'plan';
  return word === 'from' || word === 'starting' || word.startsWith('not') ? 'start' : 'due';
}

interface Joined {
  from: number;
  to: number;
  /** A day, with an hour if there is one. */
  value: string;
  /** The word in front, in lower case. */
  word: string | null;
  day: FoundDay | null;
}

/** A day and an hour that stand side by side are one moment. An hour alone is today's, or tomorrow's once it has passed. */
function joined(line: Line, days: readonly FoundDay[], times: readonly FoundTime[], context: CaptureContext): Joined[] {
  const free = new Set(times);
  const beside = (a: { to: number }, b: { from: number }) => a.to <= b.from && /^[\s,]*(?:at\s+|on\s+|by\s+)?$/i.test(line.rest.slice(a.to, b.from));
  const moments: Joined[] = days.map((day) => {
    const time = day.doubt || day.time ? undefined : times.find((one) => free.has(one) && (beside(day, one) || beside(one, day)));
    if (time) free.delete(time);
    const [from, to] = [Math.min(day.from, time?.from ?? day.from), Math.max(day.to, time?.to ?? day.to)];
    const hour = time?.time ?? day.time;
    const between = time && time.from < day.from ? wordBefore(line, day.from) : null;
    return { ...withWord(line, from, to, between), value: hour ? `${day.date}T${hour}` : day.date, day };
  });
  for (const time of free) {
    const date = time.time > context.time ? context.today : plus(context.today, { days: 1 });
    moments.push({ ...withWord(line, time.from, time.to, null), value: `${date}T${time.time}`, day: null });
  }
  return moments.sort((a, b) => a.from - b.from);
}

const wordBefore = (line: Line, at: number): string | null => PREPOSITION.exec(line.rest.slice(0, at))?.[1]?.toLowerCase().replace(/\s+/g, ' ') ?? null;

/** The stretch grows by the word in front of it. */
function withWord(line: Line, from: number, to: number, between: string | null): { from: number; to: number; word: string | null } {
  const match = PREPOSITION.exec(line.rest.slice(0, from));
  if (!match) return { from, to, word: between };
  return { from: match.index, to, word: match[1]!.toLowerCase().replace(/\s+/g, ' ') };
}

/** The line in its stretches, as typed: joined they are the line again. */
export function piecesOf(typed: string, spans: readonly Span[]): { text: string; span: Span | null }[] {
  const pieces: { text: string; span: Span | null }[] = [];
  let at = 0;
  for (const one of spans) {
    if (one.from > at) pieces.push({ text: typed.slice(at, one.from), span: null });
    pieces.push({ text: typed.slice(one.from, one.to), span: one });
    at = one.to;
  }
  if (at < typed.length) pieces.push({ text: typed.slice(at), span: null });
  return pieces;
}

const isBetween = (character: string): boolean => /[\s,;:–-]/.test(character);

/** The pieces that are not chosen, tidied: no double spaces, no commas left hanging, a capital where an "ask … to" was taken off. */
export function titleOf(typed: string, spans: readonly Span[]): string {
  const pieces = piecesOf(typed, spans)
    .map(({ text, span }) => (span?.chosen ? ' ' : text))
    .join('')
    .replace(/[\s\0]+/g, ' ')
    .replace(/ ([,;:.])(?=\s|$)/g, '$1')
    .replace(/([,;])(?: ?[,;])+/g, '$1')
    .replace(/\(\s?\)/g, '');
  const left = trimmedOf(pieces, isBetween).trim();
  const first = spans[0];
  const tookStart =
    first !== undefined && first.chosen && typed.slice(0, first.from).trim() === '' && first.kind === 'person' && /\sto\s+$|^\s*each\s+of\s/i.test(first.text);
  return tookStart ? left.charAt(0).toUpperCase() + left.slice(1) : left;
}
