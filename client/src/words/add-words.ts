import { pseudo, speaksPseudo } from './pseudo.ts';

/** Sentences by key, as far as they have been fetched. */
export const sentences: Record<string, string> = {};

const isPseudo = speaksPseudo();

/** Sentences of a part of the application come with it: nobody waits for them before. Called where that part’s words are said. */
export function addWords(more: Readonly<Record<string, string>>): void {
  Object.assign(sentences, isPseudo ? pseudo(more) : more);
}
