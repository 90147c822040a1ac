/** Small letters without marks: "Ääni" is found by "aani", and by "ÄÄNI". */
export const folded = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The words of a text as they are compared: runs of letters and figures, folded, in their order. */
export const wordsIn = (text: string): string[] => folded(text).match(/[\p{L}\p{N}]+/gu) ?? [];

/** So many words are looked for; what is typed after them narrows no further. */
export const MOST_TERMS = 12;

/** One word looked for: any of its forms will do, as a whole, or as a beginning. */
export interface Term {
  forms: readonly string[];
  isBeginning: boolean;
}

/**
 * What is looked for, word by word, each widened to its plural and its singular. The last is being typed still, so it is a beginning,
 * unless a blank or a sign follows it.
 */
export function termsOf(typed: string): Term[] {
  const words = wordsIn(typed).slice(0, MOST_TERMS);
  const isTyping = /[\p{L}\p{M}\p{N}]$/u.test(typed);
  return words.map((word, nth) => ({ forms: formsOf(word), isBeginning: isTyping && nth === words.length - 1 }));
}

/** Whether one of a text's words is what is looked for. */
export const hasTerm = (words: readonly string[], { forms, isBeginning }: Term): boolean =>
  words.some((word) => forms.some((form) => (isBeginning ? word.startsWith(form) : word === form)));

export const hasTerms = (words: readonly string[], terms: readonly Term[]): boolean => terms.every((term) => hasTerm(words, term));

/** Shorter words have no plural worth looking for: "as", "bus". */
const LEAST_LETTERS = 4;

/** A word with its English plural or singular, as it is spelled by rule. */
function formsOf(word: string): string[] {
  if (word.length < LEAST_LETTERS || !/^[a-z]+$/.test(word)) return [word];
  return [...new Set([word, ...singularsOf(word), ...pluralsOf(word)])];
}

function singularsOf(word: string): string[] {
  if (!word.endsWith('s') || word.endsWith('ss')) return [];
  if (word.endsWith('ies')) return [`${word.slice(0, -3)}y`, word.slice(0, -1)];
  if (word.endsWith('ves')) return [`${word.slice(0, -3)}f`, `${word.slice(0, -3)}fe`, word.slice(0, -1)];
  return /(s|x|z|ch|sh|o)es$/.test(word) ? [word.slice(0, -2), word.slice(0, -1)] : [word.slice(0, -1)];
}

function pluralsOf(word: string): string[] {
  if (/[^aeiou]y$/.test(word)) return [`${word.slice(0, -1)}ies`];
  if (/fe?$/.test(word)) return [`${word.replace(/fe?$/, '')}ves`, `${word}s`];
  if (/(s|x|z|ch|sh)$/.test(word)) return [`${word}es`];
  return word.endsWith('o') ? [`${word}s`, `${word}es`] : [`${word}s`];
}
