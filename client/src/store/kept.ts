import { KeptAgenda, type ChangedRow, type PlanView, type Reader, type Rows, type Touched } from '@kotiva/core';

/** Something worked out of the rows, kept for all who ask for it. */
export abstract class Kept implements Touched {
  /** It is to be made anew for who asks next. */
  isOver = false;
  /** The changes by which it became another one, or will. */
  private otherBy: readonly ChangedRow[] | null = null;

  constructor(
    /** As of which minute or day it is. */
    readonly at: string,
  ) {}

  /** The same object for as long as it says the same. */
  abstract readonly value: object;

  take(changes: readonly ChangedRow[]): void {
    const before = this.value;
    if (!this.isOver) this.isOver = !this.follow(changes);
    if (this.isOver || this.value !== before) this.otherBy = changes;
  }

  isTouchedBy(changes: readonly ChangedRow[]): boolean {
    return this.otherBy === changes;
  }

  /** False: it has to be made anew. */
  protected abstract follow(changes: readonly ChangedRow[]): boolean;
}

/** Makes what is kept, from what it was before. */
export type Making<K extends Kept> = (rows: () => Reader, before: Kept | undefined) => K;

/** One person's agenda, which takes what changed and nothing else. */
export class AgendaKept extends Kept {
  private readonly agenda: KeptAgenda;

  constructor(at: string, now: () => Reader, view: PlanView, before: Kept | undefined) {
    super(at);
    this.agenda = new KeptAgenda(view, asNow(now), before instanceof AgendaKept ? before.agenda : null);
  }

  get value(): KeptAgenda['entries'] {
    return this.agenda.entries;
  }

  protected follow(changes: readonly ChangedRow[]): boolean {
    return this.agenda.take(changes);
  }
}

/** The rows that hold at each moment. */
export const asNow = (now: () => Reader): Rows => ({
  find: (noun, id) => now().find(noun, id),
  by: (noun, index, value) => now().by(noun, index, value),
  all: (noun) => now().all(noun),
});
