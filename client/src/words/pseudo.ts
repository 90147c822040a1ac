/** Where a device keeps that it speaks the test language. */
const KEPT = 'kotiva/words';

/** Whether this browser was asked to speak the test language. */
export const speaksPseudo = (): boolean => typeof localStorage !== 'undefined' && localStorage.getItem(KEPT) === 'pseudo';

/**
 * A language for the tests: every sentence marked at both ends and a third longer, its slots untouched.
 * Words that do not come from the catalogue show by having no marks, layouts that are too tight by breaking.
 */
export function pseudo(catalogue: Readonly<Record<string, string>>): Record<string, string> {
  return Object.fromEntries(Object.entries(catalogue).map(([key, sentence]) => [key, `⟦${sentence}${'·'.repeat(Math.ceil(sentence.length / 3))}⟧`]));
}
