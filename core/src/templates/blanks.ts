import { BLANK_NAME_MAX } from '../model/template.ts';

/**
 * Blanks stand anywhere in a template's text as `{guests}`. A brace that is never closed, or is closed on another line, is text; of a blank in
 * a blank the inner one counts.
 */
const BLANK = new RegExp(`\\{([^{}\\n]{1,${BLANK_NAME_MAX}})\\}`, 'g');

/** One name, however it was typed: without spaces around it, in any case. */
const known = (name: string): string => name.trim().toLowerCase();

/** The names of a text's blanks, as they are written first, each once. */
export function blanksIn(texts: Iterable<string>): string[] {
  const found = new Map<string, string>();
  for (const text of texts)
    for (const [, name] of text.matchAll(BLANK)) if (known(name!) !== '' && !found.has(known(name!))) found.set(known(name!), name!.trim());
  return [...found.values()];
}

/** The text with its blanks filled; one that nothing is said of stays as it is written. */
export function filledIn(text: string, blanks: Readonly<Record<string, string>>): string {
  if (!text.includes('{')) return text;
  const said = new Map(Object.entries(blanks).map(([name, value]) => [known(name), value]));
  return text.replace(BLANK, (whole, name: string) => said.get(known(name)) ?? whole);
}
