import type { TypedLine } from './line.ts';
import { NUMBER, numberOf } from './numbers.ts';
import type { Span } from './span.ts';

const HOURS = 'h|hrs?|hours?';
const MINUTES = 'min|mins|minutes?';
const MOST_MINUTES = 60_000;

/** How long it takes: "30 min", "1.5 h", "1 h 30 min", "half an hour". Not "in 30 min", "30 min before", "every 2 hours", "24 h". */
export function findEffort(line: TypedLine): Span[] {
  const behind = '(?<!\\b(?:in|every|within|after|half|for\\s+the\\s+next)\\s)';
  const ahead =
    '(?!-|\\s+(?:before|after|ago|late|later|early|from|of|drive|walk|run|ride|rule|break|show|service|room|trip|tour|film|video|lesson|class|course|workout|nap|timer|warranty))';
  const source = `${behind}(?:about\\s+|~\\s*)?(?:(\\d{1,3}(?:[.,]\\d{1,2})?)\\s*(?:${HOURS})(?:\\s*(\\d{1,2})\\s*(?:${MINUTES})?)?|(\\d{1,4})\\s*(?:${MINUTES})|(half)\\s+an\\s+hour|(an)\\s+hour(?:\\s+and\\s+(a\\s+half))?)${ahead}`;
  for (const match of line.words(source)) {
    const [, hours, more, minutes, half, whole, andHalf] = match;
    const value = hours
      ? Math.round(Number(hours.replace(',', '.')) * 60) + Number(more ?? 0)
      : minutes
        ? Number(minutes)
        : half
          ? 30
          : whole
            ? andHalf
              ? 90
              : 60
            : 0;
    if (value < 1 || value > MOST_MINUTES || value === 24 * 60) continue;
    return [span(line, match, { kind: 'effort', value })];
  }
  return [];
}

/** "important" at the end, or in front with a colon: within a sentence it is a word like others. */
export function findImportance(line: TypedLine): Span[] {
  for (const match of line.matches(/(?<![\p{L}\p{N}])((?:very\s+|a\s+little\s+)?important)\s*([:!])?(?![\p{L}\p{N}])/giu)) {
    const before = line.rest.slice(0, match.index);
    const after = line.rest.slice(match.index + match[0].length);
    const leads = match[2] !== undefined && !/[\p{L}\p{N}]/u.test(before);
    const trails = !/[\p{L}\p{N}]/u.test(after) && /[\p{L}\p{N}\u0000]/u.test(before) && !/\b(?:is|are|the|an?|most|more|not|less|its?|and)\s+$/i.test(before);
    if (!leads && !trails) continue;
    const value = /^very/i.test(match[1]!) ? 3 : /^a\s/i.test(match[1]!) ? 1 : 2;
    return [span(line, match, { kind: 'importance', value })];
  }
  return [];
}

const LETTER: Record<string, string> = { m: 'M', h: 'H', d: 'D', w: 'W' };

/** "remind me 2 days before", "remind me 30 min before": a duration before the deadline (ISO 8601). */
export function findAlarm(line: TypedLine): Span[] {
  const source = `remind\\s+(?:me|us|them|him|her)?\\s*(?:a(?:gain)?\\s+)?(${NUMBER})\\s+(min(?:ute)?s?|hours?|h|days?|weeks?)\\s+(?:before|ahead|earlier)`;
  for (const match of line.words(source)) {
    const unit = LETTER[match[2]![0]!.toLowerCase()]!;
    const count = numberOf(match[1]!);
    const before = unit === 'M' || unit === 'H' ? `PT${count}${unit}` : `P${count}${unit}`;
    return [span(line, match, { kind: 'alarm', value: { before } })];
  }
  return [];
}

export function span<S extends Pick<Span, 'kind' | 'value'>>(line: TypedLine, match: RegExpExecArray, what: S, chosen = true): Span {
  const [from, to] = [match.index, match.index + match[0].length];
  return { from, to, text: line.text(from, to), chosen, ...what } as unknown as Span;
}
