import { USUAL_DAY_PARTS } from '@kotiva/core';
import { type CaptureContext } from '@kotiva/core/capture';
import { readLine } from '@kotiva/core/capture/read-line';

const EMPTY: CaptureContext = { today: '2026-01-01', time: '10:00', dayParts: USUAL_DAY_PARTS, people: [], places: [], lists: [] };
/** Of each kind of word one that is read. */
const PLAIN = [
  'Water the ferns by Friday',
  'Clean the boiler every 2 weeks from 2026-12-03 at 17:30, remind me 2 days before',
  'every day from 2016-01-01',
  '- [ ] Order candles @Leila #wood for 45 min tomorrow morning, to Groceries',
  'Call the quay next Tuesday at 5 pm until 14 December',
];
/** Patterns are made ready for plain letters and for all others apart. */
const LINES = PLAIN.flatMap((line) => [line, `🌱 ${line}`]);
const EVERY_MS = 1_000;

const readLines = (): void => LINES.forEach((line) => readLine(line, EMPTY));

/**
 * Making the patterns of a line ready takes longer than anyone should wait while somebody else's line is read: done before anybody asks,
 * and again and again, since patterns nobody uses for some collections of garbage are thrown away.
 */
export function keepWarm(): void {
  // the first time in one way, the second in another
  readLines();
  readLines();
  setInterval(readLines, EVERY_MS).unref();
}
