import { TrackedRows, type ChangedRow, type MemoryRows, type Row } from '@kotiva/core';
import isEqual from 'fast-deep-equal';
import { useState, useSyncExternalStore } from 'react';
import { useStore } from 'react-redux';
import type { HouseState } from './house.ts';
import type { Kept, Making } from './kept.ts';
import { selectRows } from './rows.ts';

/** Beyond so many rows changed at once it is quicker to draw everything than to ask who has to do with which. */
const MOST_ASKED = 500;
/** So many answers are kept: people, minutes, filters tried one after the other. */
const MOST_KEPT = 100;

interface HouseStore {
  getState(): { house: HouseState };
  subscribe(listener: () => void): () => void;
}

/** One part of the screen and what it read: told when that is no longer so, and then it begins a new list of what it reads. */
class Reading {
  rows: TrackedRows;
  private begun: number;
  private listener: (() => void) | null = null;

  constructor(private readonly shown: ShownRows) {
    this.begun = shown.version;
    this.rows = shown.tracked();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listener = listener;
    const leave = this.shown.join(this);
    // it was drawn, and before it could listen something changed
    if (this.begun !== this.shown.version) this.beginAnew();
    return () => {
      leave();
      this.listener = null;
    };
  };

  readonly current = (): TrackedRows => this.rows;

  /** `changes` null: all of it are other rows now. */
  take(changes: readonly ChangedRow[] | null): void {
    if (changes !== null && !this.rows.isTouchedBy(changes)) return;
    this.beginAnew();
    this.listener?.();
  }

  private beginAnew(): void {
    this.begun = this.shown.version;
    this.rows = this.shown.tracked();
  }
}

/**
 * The rows on the screen, and who reads which of them. Whenever the store has taken something, only those are told whose lookups could give
 * another answer now: a check-off draws its row and what counts it, not the page.
 */
class ShownRows {
  /** Raised with each change. */
  version = 0;
  private shown: MemoryRows;
  private base: MemoryRows;
  private readonly readings = new Set<Reading>();
  private readonly kept = new Map<string, Kept>();

  constructor(private readonly store: HouseStore) {
    const { house } = store.getState();
    this.shown = selectRows(house);
    this.base = house.confirmed.rows;
    this.base.changed();
    store.subscribe(() => this.look());
  }

  tracked(): TrackedRows {
    return new TrackedRows(() => this.shown);
  }

  join(reading: Reading): () => void {
    this.readings.add(reading);
    return () => void this.readings.delete(reading);
  }

  /** What is kept under a key, made where it isn't yet, or is as of another time. */
  keeping<K extends Kept>(key: string, at: string, make: Making<K>, by: TrackedRows): K {
    let kept = this.kept.get(key);
    if (!kept || kept.isOver || kept.at !== at) {
      kept = make(() => this.shown, kept);
      if (this.kept.size >= MOST_KEPT) this.kept.clear();
      this.kept.set(key, kept);
    }
    by.takeOver(key, kept);
    return kept as K;
  }

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
    if (changes?.length === 0) return;
    this.tell(changes === null || changes.length > MOST_ASKED ? null : changes);
  }

  private tell(changes: readonly ChangedRow[] | null): void {
    this.version += 1;
    if (changes === null) this.kept.clear();
    else for (const kept of this.kept.values()) kept.take(changes);
    // whoever is told may draw at once, and somebody leave
    for (const reading of [...this.readings]) reading.take(changes);
  }

  /** Between what was on the screen and what is: only what the server said, and what waits above it, can differ. */
  private changesSince(before: MemoryRows): ChangedRow[] {
    const stood = new Map<string, Omit<ChangedRow, 'after'>>();
    const enter = (one: Omit<ChangedRow, 'after'>) => {
      const key = `${one.noun} ${one.id}`;
      if (!stood.has(key)) stood.set(key, one);
    };
    for (const { noun, id } of before.overlaid()) enter({ noun, id, before: before.find(noun, id) });
    for (const one of this.base.changed()) enter(one);
    for (const { noun, id } of this.shown.overlaid()) enter({ noun, id, before: this.base.find(noun, id) });
    return [...stood.values()].map((one) => ({ ...one, after: this.shown.find(one.noun, one.id) })).filter(({ before: was, after }) => !isSame(was, after));
  }
}

/** The same to whoever looks at it: when the server has it, and by which number, is nothing to see. */
function isSame(a: Row | undefined, b: Row | undefined): boolean {
  if (a === b || !a || !b) return a === b;
  return isEqual({ ...a, seq: 0 }, { ...b, seq: 0 });
}

const known = new WeakMap<object, ShownRows>();
function shownOf(store: HouseStore): ShownRows {
  const shown = known.get(store) ?? new ShownRows(store);
  known.set(store, shown);
  return shown;
}

/**
 * The rows, for one part of the screen: the same object for as long as nothing it looked up has changed, then another, and it is drawn anew.
 * What is looked up is what holds at that moment, also later, in what a tap does.
 */
export function useRows(): TrackedRows {
  const shown = shownOf(useStore() as HouseStore);
  const [reading] = useState(() => new Reading(shown));
  return useSyncExternalStore(reading.subscribe, reading.current);
}

/** A list worked out of the rows that several parts of the screen ask for; the key names what, `at` as of which minute or day. */
export function useKeeping(): <K extends Kept>(key: string, at: string, make: Making<K>) => K['value'] {
  const shown = shownOf(useStore() as HouseStore);
  const rows = useRows();
  return (key, at, make) => shown.keeping(key, at, make, rows).value;
}
