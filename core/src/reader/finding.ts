import type { IndexOf, Noun, Row } from '../model/nouns.ts';
import type { Reader } from './reader.ts';

/** Rows looked up by whoever asks for one that may not be there. */
export interface Finding {
  find<N extends Noun>(noun: N, id: string): Row<N> | undefined;
  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[];
}

/** A reader, for who doesn't ask why a row is not there. */
export const finding = (reader: Pick<Reader, 'get' | 'by'>): Finding => ({
  find: (noun, id) => {
    const held = reader.get(noun, id);
    return typeof held === 'string' ? undefined : held;
  },
  by: (noun, field, value) => reader.by(noun, field, value),
});
