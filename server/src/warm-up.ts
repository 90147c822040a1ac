import { USUAL_DAY_PARTS } from '@kotiva/core';
import { readLine, type CaptureContext } from '@kotiva/core/capture';

const EMPTY: CaptureContext = { today: '2026-01-01', time: '10:00', dayParts: USUAL_DAY_PARTS, people: [], places: [], lists: [] };
/** Patterns are made ready the first and again the second time they are met, for plain letters and for all others apart. */
const LINES = ['Water the ferns by Friday', '🌱 Water the ferns by Friday'];
const EVERY_MS = 1_000;

const readLines = (): void => LINES.forEach((line) => readLine(line, EMPTY));

/**
 * Making the patterns of a line ready takes longer than anyone should wait while somebody else's line is read: done before anybody asks,
 * and again and again, since patterns nobody uses for some collections of garbage are thrown away.
 */
export function keepWarm(): void {
  readLines();
  readLines();
  setInterval(readLines, EVERY_MS).unref();
}
