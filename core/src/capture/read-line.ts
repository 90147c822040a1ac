import { findAlarm, findEffort, findImportance } from './amounts.ts';
import { plus } from './calendar-words.ts';
import type { CaptureContext } from './context.ts';
import { findDays, hourOf, type FoundDay } from './dates.ts';
import { foldBlanks } from './folding.ts';
import { TypedLine } from './line.ts';
import { findEveryone, findLists, findPeople, findPlaces, findTags } from './names.ts';
import { findRule } from './recurrence.ts';
import { REMIND_TO, titleOf, type ReadLine } from './pieces.ts';
import { spanName, type Question, type Span } from './span.ts';
import { findTimes, type FoundTime } from './times.ts';

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
  const line = new TypedLine(text);
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
  // words in quotes are spoken of
  for (const { index, 0: quoted } of [...line.matches(QUOTED)]) line.take(index, index + quoted.length);
  keep(findAlarm(line));
  const rule = findRule(line, context);
  keep(rule.spans);
  questions.push(...rule.questions);
  for (const { from, to } of rule.questions) line.take(from, to);
  keep(findPlaces(line, context));
  keep(findImportance(line));
  keep(findEffort(line));
  readDates(line, context, keep, questions);
  if (!spans.some(({ kind }) => kind === 'everyone' || kind === 'person')) keep(findEveryone(line));
  keep(findLists(line, context));
  spans.sort((a, b) => a.from - b.from);
  return { spans, questions };
}

type DateKind = 'due' | 'plan' | 'start';
const PREPOSITION =
  /(?<![\p{L}\p{N}])((?:due|deadline(?:\s+is)?:?)(?:\s+(?:by|on))?|no(?:t)?\s+(?:any\s+)?later\s+than|at\s+the\s+latest(?:\s+by)?|by(?:\s+the)?|until|till|on(?:\s+the)?|from|not\s+before|starting(?:\s+(?:on|from))?|any\s+time\s+after|after|before|at(?:\s+the)?)\s+$/iu;
const QUOTED = /(?<![\p{L}\p{N}])(?:"[^"]+"|“[^“”]+”|«[^«»]+»)/gu;
/** Behind a moment: it is the deadline. */
const LATEST = /^ ?,? ?(?:at\s+(?:the\s+)?latest|latest|deadline)(?![\p{L}\p{N}])/iu;
/** What stands behind these is spoken of, not meant. */
const ABOUT = /(?<![\p{L}\p{N}])(?:about|re:?|regarding|concerning|called|named|titled)\s+(?:the\s+|last\s+)?$/iu;
/** One end of a stretch of days or hours. */
const RANGE_AHEAD = /^\s*(?:[–—-]|to|through|till|until)\s*(?:\d|mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/iu;
const RANGE_BEHIND =
  /(?:\d|jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?|mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)\s*(?:[–—-]|\sto|\sthrough)\s*$/iu;

/** What makes a moment a reminder: "remind me on Friday at 9". */
const REMIND = /(?<![\p{L}\p{N}])remind\s+(?:me|us)\s+$/iu;

/** Days with their hours and the word before them: `by` a deadline, `on` or nothing a plan, `from` not before. */
function readDates(line: TypedLine, context: CaptureContext, keep: (found: readonly Span[]) => void, questions: Question[]): void {
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
      const end = to + (/^\s+(?:to|that)(?=\s)/i.exec(line.rest.slice(to))?.[0].length ?? 0);
      keep([{ kind: 'alarm', from: asked.index, to: end, text: line.text(asked.index, end), value: { at }, chosen: true }]);
      continue;
    }
    const ahead = line.rest.slice(to);
    if (RANGE_AHEAD.test(ahead) || RANGE_BEHIND.test(line.rest.slice(0, from))) continue;
    const latest = LATEST.exec(ahead)?.[0] ?? '';
    const kind = latest || day?.isDue ? 'due' : kindOf(word);
    const spokenOf = ABOUT.test(line.rest.slice(0, from));
    const sure = !spokenOf && (latest !== '' || day?.isDue || word !== null || (day === null && /^(at|in)\s/i.test(text)) || line.isAtEdge(from, to));
    if (sure && seen.has(kind)) continue;
    if (sure) seen.add(kind);
    if (kind === 'plan' && sure && REMIND_TO.test(line.typed)) {
      const at = value.length > 10 ? value : `${value}T${hourOf('morning', context)!}`;
      keep([{ kind: 'alarm', from, to, text, value: { at }, chosen: true }]);
      continue;
    }
    const end = to + latest.length;
    keep([{ kind, from, to: end, text: line.text(from, end), value: valueAs(kind, moment), chosen: sure } as Span]);
  }
}

function kindOf(word: string | null): DateKind {
  if (word === null || /^(?:on|at)(?: the)?$/.test(word)) return 'plan';
  return /^(?:from|starting|not before|any time after|after)/.test(word) ? 'start' : 'due';
}

/** Before a day is the day before it; before an hour is that hour. A part of the day is no deadline: it ends with the day. */
function valueAs(kind: DateKind, { value, word, day, isPart }: Joined): string {
  if (kind === 'due' && isPart) return value.slice(0, 10);
  if (day === null || value.length > 10) return value;
  if (word === 'before') return plus(value, { days: -1 });
  return word === 'after' || word === 'any time after' ? plus(value, { days: 1 }) : value;
}

interface Joined {
  from: number;
  to: number;
  /** A day, with an hour if there is one. */
  value: string;
  /** The word in front, in lower case. */
  word: string | null;
  day: FoundDay | null;
  /** The hour is only that of a part of the day. */
  isPart: boolean;
}

/** A day and an hour that stand side by side are one moment. An hour alone is today's, or tomorrow's once it has passed. */
function joined(line: TypedLine, days: readonly FoundDay[], times: readonly FoundTime[], context: CaptureContext): Joined[] {
  const free = new Set(times);
  const beside = (a: { to: number }, b: { from: number }) => a.to <= b.from && /^[\s,]*(?:at\s+|on\s+|by\s+)?$/i.test(line.rest.slice(a.to, b.from));
  const moments: Joined[] = days.map((day) => {
    // "tonight at 8": the hour is that of the part
    const time =
      day.doubt || (day.time !== null && day.part === null) ? undefined : times.find((one) => free.has(one) && (beside(day, one) || beside(one, day)));
    if (time) free.delete(time);
    const [from, to] = [Math.min(day.from, time?.from ?? day.from), Math.max(day.to, time?.to ?? day.to)];
    const hour = time ? inPartOfDay(time.time, day.part) : day.time;
    const between = time && time.from < day.from ? wordBefore(line, day.from) : null;
    return {
      ...withWord(line, from, to, between),
      value: hour ? `${day.date}T${hour}` : day.date,
      day,
      isPart: hour !== null && (time ? time.isPart : day.part !== null),
    };
  });
  for (const time of free) {
    const date = time.time > context.time ? context.today : plus(context.today, { days: 1 });
    moments.push({ ...withWord(line, time.from, time.to, null), value: `${date}T${time.time}`, day: null, isPart: time.isPart });
  }
  return moments.sort((a, b) => a.from - b.from);
}

/** Eight in the evening is 20:00. */
function inPartOfDay(time: string, part: string | null): string {
  const hour = Number(time.slice(0, 2));
  return part !== null && part !== 'morning' && hour < 12 ? `${hour + 12}${time.slice(2)}` : time;
}

const wordBefore = (line: TypedLine, at: number): string | null => PREPOSITION.exec(line.rest.slice(0, at))?.[1]?.toLowerCase().replace(/\s+/g, ' ') ?? null;

/** The stretch grows by the word in front of it. */
function withWord(line: TypedLine, from: number, to: number, between: string | null): { from: number; to: number; word: string | null } {
  const match = PREPOSITION.exec(line.rest.slice(0, from));
  if (!match) return { from, to, word: between };
  return { from: match.index, to, word: match[1]!.toLowerCase().replace(/\s+/g, ' ') };
}
