/** What is put into a sentence: text, or a number; `count` also chooses the plural. */
export type Slots = Readonly<Record<string, string | number>>;

/** Keys of a catalogue as they are asked for; `_one` and `_other` are plural forms of one key (CLDR). */
export type Plain<K> = K extends `${infer Base}_one` | `${infer Base}_other` ? Base : K;

/** The sentence of a key in one language, its slots filled; `undefined` for a key nobody wrote. */
export type Catalogue = (key: string, slots: Slots) => string | undefined;

/**
 * A catalogue in the language of a BCP 47 tag. With `count` among the slots the form of its plural category stands first, then the one of
 * any other number, then the plain one. A slot nobody fills stays as it is written.
 */
export function catalogueOf(language: string, sentences: Readonly<Record<string, string>>): Catalogue {
  const plural = new Intl.PluralRules(language);
  const formOf = (key: string, { count }: Slots): string | undefined =>
    count === undefined ? sentences[key] : (sentences[`${key}_${plural.select(Number(count))}`] ?? sentences[`${key}_other`] ?? sentences[key]);
  return (key, slots) => formOf(key, slots)?.replace(SLOT, (slot, name: string) => (Object.hasOwn(slots, name) ? String(slots[name]) : slot));
}

const SLOT = /\{(\w+)\}/g;
