import type { ChangedRow, MemoryRows } from '@kotiva/core';
import isEqual from 'fast-deep-equal';
import { Face } from './face.ts';
import type { HouseState } from './house.ts';
import { selectRows } from './rows.ts';

/** Beyond so many rows changed at once it is quicker to draw everything than to ask who has to do with which. */
const MOST_ASKED = 500;

export interface HouseStore {
  getState(): { house: HouseState };
  subscribe(listener: () => void): () => void;
}

const keyOf = ({ noun, id }: Pick<ChangedRow, 'noun' | 'id'>): string => `${noun} ${id}`;

/**
 * The rows on the screen. Whenever the store has taken something, only those are told whose lookups could give another answer now: a
 * check-off draws its row and what counts it, not the page.
 *
 * A page reads them as they stand: what was just ticked by hand is still as it was before, so that its row stays where it is until it is let
 * go. Everything else, and the row itself, reads them as they are.
 */
export class ShownRows {
  readonly asTheyAre = new Face(() => this.shown);
  readonly asTheyStand = new Face(() => this.standing);
  private shown: MemoryRows;
  private standing: MemoryRows;
  private base: MemoryRows;
  /** What stays as it was, by noun and id. */
  private readonly staying = new Map<string, Omit<ChangedRow, 'after'>>();
  private isToStay = false;

  constructor(private readonly store: HouseStore) {
    const { house } = store.getState();
    this.shown = selectRows(house);
    this.standing = this.shown;
    this.base = house.confirmed.rows;
    this.base.changed();
    store.subscribe(() => this.look());
  }

  /** What is done meanwhile stays as it was for those who read the rows as they stand, until it is let go. */
  readonly stay = <T>(act: () => T): T => {
    this.isToStay = true;
    try {
      return act();
    } finally {
      this.isToStay = false;
    }
  };

  readonly letGo = (): void => {
    const changes = [...this.staying.values()].map((one) => this.asItIs(one)).filter(isOther);
    this.staying.clear();
    this.standing = this.shown;
    this.asTheyStand.tell(changes);
  };

  private look(): void {
    const { house } = this.store.getState();
    const before = this.shown;
    this.shown = selectRows(house);
    if (before === this.shown) return;
    const changes = house.confirmed.rows === this.base ? this.changesSince(before) : null;
    if (changes === null) {
      this.base = house.confirmed.rows;
      this.base.changed();
    }
    this.take(changes === null || changes.length > MOST_ASKED ? null : changes);
  }

  private take(changes: readonly ChangedRow[] | null): void {
    if (changes === null) this.staying.clear();
    else if (this.isToStay) for (const one of changes) if (!this.staying.has(keyOf(one))) this.staying.set(keyOf(one), one);
    this.standing = this.staying.size === 0 ? this.shown : this.withWhatStays();
    this.asTheyAre.tell(changes);
    this.asTheyStand.tell(changes?.filter((one) => !this.staying.has(keyOf(one))) ?? null);
  }

  private withWhatStays(): MemoryRows {
    const rows = this.shown.over();
    for (const { noun, id, before } of this.staying.values()) {
      if (before) rows.put(noun, before);
      else rows.evict(noun, id);
    }
    return rows;
  }

  private asItIs(one: Omit<ChangedRow, 'after'>): ChangedRow {
    return { ...one, after: this.shown.find(one.noun, one.id) };
  }

  /** Between what was on the screen and what is: only what the server said, and what waits above it, can differ. */
  private changesSince(before: MemoryRows): ChangedRow[] {
    const stood = new Map<string, Omit<ChangedRow, 'after'>>();
    const enter = (one: Omit<ChangedRow, 'after'>) => {
      if (!stood.has(keyOf(one))) stood.set(keyOf(one), one);
    };
    for (const { noun, id } of before.overlaid()) enter({ noun, id, before: before.find(noun, id) });
    for (const one of this.base.changed()) enter(one);
    for (const { noun, id } of this.shown.overlaid()) enter({ noun, id, before: this.base.find(noun, id) });
    return [...stood.values()].map((one) => this.asItIs(one)).filter(isOther);
  }
}

/** To whoever looks at it: when the server has it, and by which number, is nothing to see. */
function isOther({ before, after }: ChangedRow): boolean {
  if (before === after || !before || !after) return before !== after;
  return !isEqual({ ...before, seq: 0 }, { ...after, seq: 0 });
}

const known = new WeakMap<object, ShownRows>();
export function shownOf(store: HouseStore): ShownRows {
  const shown = known.get(store) ?? new ShownRows(store);
  known.set(store, shown);
  return shown;
}
