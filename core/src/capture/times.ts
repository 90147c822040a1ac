import type { CaptureContext } from './context.ts';
import { hourOf } from './dates.ts';
import type { Line } from './line.ts';
import { NUMBER, numberOf } from './numbers.ts';

/** An hour found in a line, wall-clock. */
export interface FoundTime {
  from: number;
  to: number;
  time: string;
}

type Rule = [source: string, read: (found: RegExpExecArray, context: CaptureContext) => string | null];

const two = (n: number): string => String(n).padStart(2, '0');
const wall = (hour: number, minute: number): string | null => (hour < 24 && minute < 60 ? `${two(hour)}:${two(minute)}` : null);
/** "Half past 8" at home is the evening from one to six, the morning from seven on. */
const spoken = (hour: number, minute: number): string | null => (hour > 12 || hour < 1 ? wall(hour, minute) : wall(hour < 7 ? hour + 12 : hour, minute));

const RULES: Rule[] = [
  [
    '(?:at\\s+)?(\\d{1,2})(?:[:.](\\d{2}))?\\s*([ap])\\.?m\\.?',
    ([, hour, minute, half]) => wall((Number(hour) % 12) + (/p/i.test(half!) ? 12 : 0), Number(minute ?? 0)),
  ],
  ['(?:at\\s+)?(\\d{1,2}):(\\d{2})', ([, hour, minute]) => wall(Number(hour), Number(minute))],
  ['at\\s+(\\d{1,2})\\.(\\d{2})(?!\\.)', ([, hour, minute]) => wall(Number(hour), Number(minute))],
  [`(?:at\\s+)?half\\s+past\\s+(${NUMBER})`, ([, hour]) => spoken(numberOf(hour!), 30)],
  [`(?:at\\s+)?quarter\\s+past\\s+(${NUMBER})`, ([, hour]) => spoken(numberOf(hour!), 15)],
  [`(?:at\\s+)?quarter\\s+to\\s+(${NUMBER})`, ([, hour]) => spoken(numberOf(hour!) - 1, 45)],
  ['(?:at\\s+)?noon', () => '12:00'],
  ['at\\s+(\\d{1,2})(?!\\s*[%.:\\d-])(?=\\s*(?:$|[,;.]|on\\b|tomorrow\\b|today\\b|every\\b|by\\b|\\u0000|#|@))', ([, hour]) => spoken(Number(hour), 0)],
  ['in\\s+the\\s+(morning|afternoon|evening)', ([, part], c) => hourOf(part, c)],
];

export function findTimes(line: Line, context: CaptureContext): FoundTime[] {
  const found: FoundTime[] = [];
  for (const [source, read] of RULES) {
    for (const match of line.words(source)) {
      const [from, to] = [match.index, match.index + match[0].length];
      if (found.some((one) => from < one.to && to > one.from)) continue;
      const time = read(match, context);
      if (time) found.push({ from, to, time });
    }
  }
  return found.sort((a, b) => a.from - b.from);
}
