import { COLOURS, PATTERNS, type Colour, type Pattern } from '@kotiva/core';

export interface LooksOf {
  mark: string;
  colour: Colour;
  pattern: Pattern;
}

/** A short mark from a name that nobody else has: first two letters, else the first and a later one, else a number. */
export function suggestMark(name: string, taken: readonly string[]): string {
  const used = new Set(taken.map((mark) => mark.toLowerCase()));
  const letters = [...name.trim()].filter((letter) => /\p{L}/u.test(letter));
  const first = letters[0]?.toUpperCase() ?? 'X';
  for (const second of letters.slice(1)) if (!used.has(`${first}${second}`.toLowerCase())) return `${first}${second.toLowerCase()}`;
  for (let number = 1; ; number++) if (!used.has(`${first}${number}`.toLowerCase())) return `${first}${number}`;
}

/** Colour and weave that nobody in the house has together; a fresh colour as long as there is one. */
export function suggestLooks(name: string, taken: readonly LooksOf[]): LooksOf {
  const mark = suggestMark(
    name,
    taken.map((one) => one.mark),
  );
  const colour = COLOURS.find((one) => taken.every((other) => other.colour !== one));
  if (colour) return { mark, colour, pattern: PATTERNS[taken.length % PATTERNS.length]! };
  for (const pattern of PATTERNS)
    for (const one of COLOURS) if (taken.every((other) => other.colour !== one || other.pattern !== pattern)) return { mark, colour: one, pattern };
  return { mark, colour: COLOURS[0], pattern: PATTERNS[0] };
}
