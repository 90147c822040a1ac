import { catalogueOf, type Plain, type Slots } from './catalogue.ts';
import { addWords, sentences } from './add-words.ts';
import type { en } from './en.ts';
import { first } from './first.ts';

export type WordKey = Plain<keyof typeof en>;
export type { Slots } from './catalogue.ts';

const LANGUAGE = 'en';
addWords(first);
const sentenceOf = catalogueOf(LANGUAGE, sentences);

/** A sentence of the catalogue with its slots filled. `count` chooses the plural. */
export const t = (key: WordKey, slots: Slots = {}): string => sentenceOf(key, slots) ?? key;

export const hasWord = (key: string): key is WordKey => sentenceOf(key, { count: 2 }) !== undefined;

/** "Leila, Noor and Eetu", in the reader's language. */
export const together = (names: readonly string[]): string => new Intl.ListFormat(locale(), { type: 'conjunction' }).format(names);
export const either = (names: readonly string[]): string => new Intl.ListFormat(locale(), { type: 'disjunction' }).format(names);

/** For dates, numbers and lists: English as it is written in Europe, day before month. */
export const locale = (): string => 'en-GB';
