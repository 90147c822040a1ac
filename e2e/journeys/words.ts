import { catalogueOf, type Plain, type Slots } from '../../client/src/words/catalogue.ts';
import { en } from '../../client/src/words/en.ts';

const sentenceOf = catalogueOf('en', en);

/** What the screen says, by its key in the catalogue: a journey looks for what a thing is for, not for how it is worded today. */
export const t = (key: Plain<keyof typeof en>, slots: Slots = {}): string => sentenceOf(key, slots) ?? key;

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Begins as that sentence does, up to its first slot: a row says more after its name. */
export const starting = (key: Plain<keyof typeof en>, slots: Slots = {}): RegExp => new RegExp(`^${escaped(t(key, slots).replace(/\s*\{.*$/s, ''))}`);
