import { Follows } from '../reader/follows.ts';
import type { Rows } from '../reader/finding.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import { daysAround, inPlayOn, itemsInPlay, itemsTouchedBy } from './in-play.ts';
import { compareSortable, placeFor, sortable, type AgendaEntry, type Sortable } from './agenda.ts';
import type { PlanView } from './rows.ts';
import { Today } from './whereabouts.ts';

/** Where so many are concerned at once it is quicker to begin from nothing. */
const MOST_AT_ONCE = 200;

/**
 * One person's agenda as of one minute, kept: it is worked out once, and after a change only what the change concerns is worked out anew and
 * put in its place. It equals `agendaOf` of the same view and rows, whatever was changed on the way. What is as it was stays the same object,
 * also from the agenda of the minute before.
 */
export class KeptAgenda {
  private readonly follows: Follows;
  private readonly today: Today;
  private readonly inPlay: readonly string[];
  private readonly placed = new Map<string, Sortable>();
  private readonly ordered: Sortable[];
  private shown: readonly AgendaEntry[];

  constructor(view: PlanView, rows: Rows, before: KeptAgenda | null = null) {
    this.follows = new Follows(rows);
    this.today = new Today(view);
    this.inPlay = daysAround(this.today.date);
    for (const { id } of itemsInPlay(this.today.date, rows)) {
      const made = this.worked(id, before?.placed.get(id));
      if (made) this.placed.set(id, made);
    }
    this.ordered = [...this.placed.values()].sort(compareSortable);
    this.shown = listed(before?.shown ?? [], this.ordered);
  }

  /** The same list for as long as it says the same. */
  get entries(): readonly AgendaEntry[] {
    return this.shown;
  }

  /** Takes what changed in the rows. False: so much that it has to be made anew. */
  take(changes: readonly ChangedRow[]): boolean {
    const concerned = this.concernedBy(changes);
    if (concerned.size > MOST_AT_ONCE) return false;
    let isOther = false;
    for (const id of concerned) isOther = this.replace(id) || isOther;
    if (isOther) this.shown = listed(this.shown, this.ordered);
    return true;
  }

  /** Ids of items; also of those that come into play by it, which nobody looked up yet. */
  private concernedBy(changes: readonly ChangedRow[]): Set<string> {
    const concerned = this.follows.concernedBy(changes);
    for (const id of itemsTouchedBy(changes)) concerned.add(id);
    return concerned;
  }

  private worked(id: string, was: Sortable | undefined): Sortable | null {
    const entry = this.follows.as(id, (rows) => {
      const item = inPlayOn(this.inPlay, id, rows);
      return item && placeFor(item, rows.by('part', 'itemId', id), this.today, rows);
    });
    return entry && sortable(was && isSame(was.entry, entry) ? was.entry : entry, this.today);
  }

  /** Whether anything about it is other than it was. */
  private replace(id: string): boolean {
    const was = this.placed.get(id);
    const made = this.worked(id, was);
    if (was && made && was.entry === made.entry && compareSortable(was, made) === 0) return false;
    if (was) this.ordered.splice(this.indexOf(was), 1);
    if (made) {
      this.ordered.splice(this.indexOf(made), 0, made);
      this.placed.set(id, made);
    } else this.placed.delete(id);
    return was !== undefined || made !== null;
  }

  /** Where it stands, or would stand. */
  private indexOf(one: Sortable): number {
    let [from, to] = [0, this.ordered.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      if (compareSortable(this.ordered[middle]!, one) < 0) from = middle + 1;
      else to = middle;
    }
    return from;
  }
}

const listed = (before: readonly AgendaEntry[], ordered: readonly Sortable[]): readonly AgendaEntry[] =>
  before.length === ordered.length && ordered.every(({ entry }, nth) => entry === before[nth]) ? before : ordered.map(({ entry }) => entry);

function isSame(a: AgendaEntry, b: AgendaEntry): boolean {
  for (const key of Object.keys(a) as (keyof AgendaEntry)[]) if (a[key] !== b[key]) return false;
  return true;
}
