import { USUAL_DAY_PARTS } from '@kotiva/core';
import { readLine, type CaptureContext } from '@kotiva/core/capture';

const EMPTY: CaptureContext = { today: '2026-01-01', time: '10:00', dayParts: USUAL_DAY_PARTS, people: [], places: [], lists: [] };
/** Patterns are made ready the first and again the second time they are met, for plain letters and for all others apart. */
const LINES = ['Water the ferns by Friday', '🌱 Water the ferns by Friday'];

/** Done before anybody asks: together it takes longer than anyone should wait while somebody else's line is read. */
export function warmUp(): void {
  for (const line of [...LINES, ...LINES]) readLine(line, EMPTY);
}
