const WORDS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const TENS: Record<string, number> = { fifteen: 15, twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, ninety: 90 };

/** A small number in figures or words; `a` and `an` are one. */
export const NUMBER = `\\d{1,4}|an?|${WORDS.join('|')}|${Object.keys(TENS).join('|')}`;

export function numberOf(text: string): number {
  const word = text.toLowerCase();
  if (/^\d+$/.test(word)) return Number(word);
  if (word === 'a' || word === 'an') return 1;
  return TENS[word] ?? WORDS.indexOf(word) + 1;
}

export const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];
/** 1 for "first" or "1st"; -1 for "last". */
export function ordinalOf(text: string): number {
  const word = text.toLowerCase();
  if (word === 'last') return -1;
  const named = ORDINALS.indexOf(word);
  return named >= 0 ? named + 1 : Number.parseInt(word, 10);
}
