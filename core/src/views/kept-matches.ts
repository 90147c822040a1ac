import type { Filter } from '../model/filter.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Arrangeable } from '../planning/arrange.ts';
import type { PlanView } from '../planning/rows.ts';
import type { Rows } from '../reader/finding.ts';
import { Follows } from '../reader/follows.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import { judging } from './filter.ts';

/** Where so many are concerned at once it is quicker to begin from nothing. */
const MOST_AT_ONCE = 200;
/** What is looked up once for all items: lists that are closed, tags below others, what a project holds. No item has this id. */
const RULE = 'rule';

/**
 * What meets a filter as of one day, kept: it is found once, and after a change only the items the change concerns are judged anew. It
 * equals `filtered` of the same filter, view and rows, in the same order, whatever was changed on the way. What is as it was stays the
 * same object, also from what was kept before.
 */
export class KeptMatches {
  private readonly follows: Follows;
  private readonly judge: (item: Item) => Arrangeable | null;
  /** Where an item stands among the rows; whatever comes, comes last. */
  private readonly nths = new Map<string, number>();
  private made = 0;
  private shown: readonly Arrangeable[];

  constructor(
    filter: Filter,
    view: PlanView,
    private readonly rows: Rows,
    before: KeptMatches | null = null,
  ) {
    this.follows = new Follows(rows);
    this.judge = this.follows.as(RULE, (followed) => judging(filter, view, followed));
    const known = new Map(before?.shown.map((one) => [one.item.id, one]));
    const found: Arrangeable[] = [];
    for (const item of rows.all('item')) {
      this.nthOf(item.id);
      const made = this.judged(item, known.get(item.id));
      if (made) found.push(made);
    }
    this.shown = before && isSameList(before.shown, found) ? before.shown : found;
  }

  /** The same list for as long as it says the same. */
  get entries(): readonly Arrangeable[] {
    return this.shown;
  }

  /** Takes what changed in the rows. False: so much that it has to be made anew. */
  take(changes: readonly ChangedRow[]): boolean {
    const concerned = this.concernedBy(changes);
    if (concerned === null || concerned.size > MOST_AT_ONCE) return false;
    for (const id of concerned) this.replace(id);
    return true;
  }

  /** Ids of items; null: the rule itself. */
  private concernedBy(changes: readonly ChangedRow[]): Set<string> | null {
    const concerned = this.follows.concernedBy(changes);
    if (concerned.has(RULE)) return null;
    // an item is judged by what it says before anything is looked up, and its parts come with it
    for (const { noun, id, before, after } of changes) {
      if (noun === 'item') concerned.add(id);
      if (noun === 'part') for (const part of [before, after]) if (part) concerned.add((part as Part).itemId);
    }
    return concerned;
  }

  private judged(item: Item, was: Arrangeable | undefined): Arrangeable | null {
    const made = this.follows.as(item.id, () => this.judge(item));
    return made && was && made.item === was.item && made.part === was.part ? was : made;
  }

  private replace(id: string): void {
    const at = this.indexOf(this.nthOf(id));
    const there = this.shown[at];
    const was = there?.item.id === id ? there : undefined;
    const item = this.rows.find('item', id);
    const made = item ? this.judged(item, was) : null;
    if (!item) this.nths.delete(id);
    if (made === (was ?? null)) return;
    const next = [...this.shown];
    next.splice(at, was ? 1 : 0, ...(made ? [made] : []));
    this.shown = next;
  }

  private nthOf(id: string): number {
    const known = this.nths.get(id);
    if (known !== undefined) return known;
    const nth = this.made++;
    this.nths.set(id, nth);
    return nth;
  }

  /** Where the one that stands there among the rows is, or would be. */
  private indexOf(nth: number): number {
    let [from, to] = [0, this.shown.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      if (this.nthOf(this.shown[middle]!.item.id) < nth) from = middle + 1;
      else to = middle;
    }
    return from;
  }
}

const isSameList = (a: readonly Arrangeable[], b: readonly Arrangeable[]): boolean => a.length === b.length && a.every((one, nth) => one === b[nth]);
