import { createInstance } from 'i18next';
import { en } from './en.ts';
import { pseudo, speaksPseudo } from './pseudo.ts';

/** Keys of the catalogue; `_one` and `_other` are plural forms of one key (CLDR). */
type Plain<K> = K extends `${infer Base}_one` | `${infer Base}_other` ? Base : K;
export type WordKey = Plain<keyof typeof en>;

const i18next = createInstance();
void i18next.init({
  lng: 'en',
  resources: { en: { translation: speaksPseudo() ? pseudo(en) : en } },
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false, prefix: '{', suffix: '}' },
  initAsync: false,
});

export type Slots = Record<string, string | number>;

/** A sentence of the catalogue with its slots filled. `count` chooses the plural. */
export const t = (key: WordKey, slots: Slots = {}): string => i18next.t(key, slots);

export const hasWord = (key: string): key is WordKey => i18next.exists(key, { count: 2 });

/** "3 of 7", "20 of 80 min": figure and band use the same measure. */
export const sayMeasure = ({ done, of, unit }: { done: number; of: number; unit: 'minutes' | 'count' }): string =>
  t(unit === 'minutes' ? 'common.minutesOf' : 'common.of', { done, of });

/** "Leila, Noor and Eetu", in the reader's language. */
export const together = (names: readonly string[]): string => new Intl.ListFormat(locale(), { type: 'conjunction' }).format(names);
export const either = (names: readonly string[]): string => new Intl.ListFormat(locale(), { type: 'disjunction' }).format(names);

/** For dates, numbers and lists: English as it is written in Europe, day before month. */
export const locale = (): string => (i18next.language === 'en' ? 'en-GB' : i18next.language);
