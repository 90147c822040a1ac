import type { IndexOf, Noun, Row } from '../model/nouns.ts';

/** Rows looked up by whoever asks for one that may not be there. */
export interface Finding {
  find<N extends Noun>(noun: N, id: string): Row<N> | undefined;
  /** The rows held whose field has that value, in no particular order. */
  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[];
}

/** The rows of a house, for whoever works something out from them. */
export interface Rows extends Finding {
  all<N extends Noun>(noun: N): Row<N>[];
}
