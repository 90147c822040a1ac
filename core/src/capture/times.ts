import { WEEKDAY } from './calendar-words.ts';
import type { CaptureContext } from './context.ts';
import { hourOf } from './dates.ts';
import type { TypedLine } from './line.ts';
import { NUMBER, numberOf } from './numbers.ts';

/** An hour found in a line, wall-clock. */
export interface FoundTime {
  from: number;
  to: number;
  time: string;
  /** Only a part of the day was said. */
  isPart: boolean;
}

type Rule = [source: string, read: (found: RegExpExecArray, context: CaptureContext) => string | null];

const two = (n: number): string => String(n).padStart(2, '0');
const wall = (hour: number, minute: number): string | null => (hour < 24 && minute < 60 ? `${two(hour)}:${two(minute)}` : null);
/** "Half past 8" at home is the evening from one to six, the morning from seven on. */
const spoken = (hour: number, minute: number): string | null => (hour > 12 || hour < 1 ? wall(hour, minute) : wall(hour < 7 ? hour + 12 : hour, minute));

/** What an hour in words may be followed by: else it is as likely a number of something. */
const ENDS =
  '\\s*(?:$|[,;.:]|on\\b|to\\b|tomorrow\\b|today\\b|tonight\\b|this\\b|next\\b|every\\b|by\\b|for\\b|with\\b|mon|tue|wed|thu|fri|sat|sun|\\u0000|#|@)';
const WORDED = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';
const HOURS = `\\d{1,2}|${WORDED}`;
/** "8 in the evening". */
const inPart = (hour: number, part: string): string | null =>
  hour > 12 || hour < 1 ? wall(hour, 0) : wall(/^m/i.test(part) ? hour % 12 : (hour % 12) + 12, 0);

const RULES: Rule[] = [
  [
    '(?:(?:at|around)\\s+)?(\\d{1,2})(?:[:.](\\d{2}))?\\s*([ap])\\.?m\\.?',
    ([, hour, minute, half]) => wall((Number(hour) % 12) + (/p/i.test(half!) ? 12 : 0), Number(minute ?? 0)),
  ],
  ['(?:(?:at|around)\\s+)?(\\d{1,2}):(\\d{2})', ([, hour, minute]) => wall(Number(hour), Number(minute))],
  ['at\\s+(\\d{1,2})\\.(\\d{2})(?!\\.)', ([, hour, minute]) => wall(Number(hour), Number(minute))],
  [`(?:at\\s+)?half\\s+past\\s+(${NUMBER})`, ([, hour]) => spoken(numberOf(hour!), 30)],
  [`(?:at\\s+)?quarter\\s+past\\s+(${NUMBER})`, ([, hour]) => spoken(numberOf(hour!), 15)],
  [`(?:at\\s+)?quarter\\s+to\\s+(${NUMBER})`, ([, hour]) => spoken(numberOf(hour!) - 1, 45)],
  ['(?:at\\s+)?(?:12\\s+)?noon', () => '12:00'],
  // the last minute of the day that is meant
  ['(?:at\\s+)?midnight', () => '23:59'],
  [`(?:at\\s+)?(${NUMBER})\\s+o['’]?\\s?clock`, ([, hour]) => spoken(numberOf(hour!), 0)],
  [`at\\s+(${HOURS})(?:\\s+in\\s+the\\s+(morning|afternoon|evening))`, ([, hour, part]) => inPart(numberOf(hour!), part!)],
  [`at\\s+(${WORDED})(?=${ENDS})(?!\\s+(?:with|for|to))`, ([, hour]) => spoken(numberOf(hour!), 0)],
  // "by 5 on Friday"; "by 5" alone is as often a measure
  [`(?<=\\b(?:by|before|until|after|from)\\s)(\\d{1,2})(?=\\s+(?:on|tomorrow|today|tonight|this|next)\\b)`, ([, hour]) => spoken(Number(hour), 0)],
  ['at\\s+(\\d{1,2})(?!\\s*[%.:\\d-])(?=' + ENDS + ')', ([, hour]) => spoken(Number(hour), 0)],
  // straight behind a day or a rule it is an hour, whatever follows
  [
    `(?<=\\b(?:tomorrow|today|tonight|day|morning|afternoon|evening|week|month|weekend|other|${WEEKDAY})\\s+)at\\s+(\\d{1,2})(?!\\s*[%.\\d-]|:\\d)(?!\\s+(?:degrees|or|and)\\b)`,
    ([, hour]) => spoken(Number(hour), 0),
  ],
  ['in\\s+the\\s+(morning|afternoon|evening)', ([, part], c) => hourOf(part, c)],
];

export function findTimes(line: TypedLine, context: CaptureContext): FoundTime[] {
  const found: FoundTime[] = [];
  for (const [source, read] of RULES) {
    for (const match of line.words(source)) {
      const [from, to] = [match.index, match.index + match[0].length];
      if (found.some((one) => from < one.to && to > one.from)) continue;
      const time = read(match, context);
      if (time) found.push({ from, to, time, isPart: /^in\s/i.test(match[0]) });
    }
  }
  return found.sort((a, b) => a.from - b.from);
}
