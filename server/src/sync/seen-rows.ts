import type { IndexOf, Noun, Person, Reader, Row } from '@kotiva/core';
import { Visibility } from './visibility.ts';

/**
 * A house as one person may read it: what they don't see is not there, what is private to another is emptied. Whatever is worked out from
 * these rows is what their device would work out from its own.
 */
export class SeenRows {
  private readonly sight: Visibility;

  constructor(
    private readonly rows: Reader,
    person: Person,
  ) {
    this.sight = new Visibility(rows, person);
  }

  find<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    const row = this.rows.find(noun, id);
    return row === undefined || !this.sight.sees(noun, row) ? undefined : this.sight.shown(noun, row);
  }

  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] {
    return this.seen(noun, this.rows.by(noun, field, value));
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    return this.seen(noun, this.rows.all(noun));
  }

  private seen<N extends Noun>(noun: N, rows: readonly Row<N>[]): Row<N>[] {
    return rows.filter((row) => this.sight.sees(noun, row)).map((row) => this.sight.shown(noun, row));
  }
}
