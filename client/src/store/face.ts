import { TrackedRows, type ChangedRow, type MemoryRows } from '@kotiva/core';
import type { Kept, Making } from './kept.ts';

/** So many answers are kept: people, minutes, filters tried one after the other. */
const MOST_KEPT = 100;

/** One part of the screen and what it read: told when that is no longer so, and then it begins a new list of what it reads. */
export class Reading {
  rows: TrackedRows;
  private begun: number;
  private listener: (() => void) | null = null;

  constructor(private readonly face: Face) {
    this.begun = face.version;
    this.rows = face.tracked();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listener = listener;
    const leave = this.face.join(this);
    // it was drawn, and before it could listen something changed
    if (this.begun !== this.face.version) this.beginAnew();
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
    this.begun = this.face.version;
    this.rows = this.face.tracked();
  }
}

/** Rows, and who on the screen reads which of them. */
export class Face {
  /** Raised with each change. */
  version = 0;
  private readonly readings = new Set<Reading>();
  private readonly kept = new Map<string, Kept>();

  constructor(private readonly now: () => MemoryRows) {}

  tracked(): TrackedRows {
    return new TrackedRows(this.now);
  }

  join(reading: Reading): () => void {
    this.readings.add(reading);
    return () => void this.readings.delete(reading);
  }

  /** What is kept under a key, made where it isn't yet, or is as of another time. */
  keeping<K extends Kept>(key: string, at: string, make: Making<K>, by: TrackedRows): K {
    let kept = this.kept.get(key);
    if (!kept || kept.isOver || kept.at !== at) {
      kept = make(this.now, kept);
      if (this.kept.size >= MOST_KEPT) this.kept.clear();
      this.kept.set(key, kept);
    }
    by.takeOver(key, kept);
    return kept as K;
  }

  /** `changes` null: all of it are other rows now. */
  tell(changes: readonly ChangedRow[] | null): void {
    if (changes?.length === 0) return;
    this.version += 1;
    if (changes === null) this.kept.clear();
    else for (const kept of this.kept.values()) kept.take(changes);
    // whoever is told may draw at once, and somebody leave
    for (const reading of [...this.readings]) reading.take(changes);
  }
}
