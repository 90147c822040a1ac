import { catalogueOf, type Plain, type Slots } from './catalogue.ts';
import { en } from './en.ts';
import { pseudo, speaksPseudo } from './pseudo.ts';

export type WordKey = Plain<keyof typeof en>;
export type { Slots } from './catalogue.ts';

const LANGUAGE = 'en';
const sentenceOf = catalogueOf(LANGUAGE, speaksPseudo() ? pseudo(en) : en);

/** A sentence of the catalogue with its slots filled. `count` chooses the plural. */
export const t = (key: WordKey, slots: Slots = {}): string => sentenceOf(key, slots) ?? key;

export const hasWord = (key: string): key is WordKey => sentenceOf(key, { count: 2 }) !== undefined;

/** "Leila, Noor and Eetu", in the reader's language. */
export const together = (names: readonly string[]): string => new Intl.ListFormat(locale(), { type: 'conjunction' }).format(names);
export const either = (names: readonly string[]): string => new Intl.ListFormat(locale(), { type: 'disjunction' }).format(names);

/** For dates, numbers and lists: English as it is written in Europe, day before month. */
export const locale = (): string => 'en-GB';
