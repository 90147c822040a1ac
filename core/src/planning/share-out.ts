/** Sharing the work of a week out among people, so that nobody carries much more for their hours than another. */

export interface Carrier {
  id: string;
  /** Minutes they have for it; more than 0. */
  capacity: number;
  /** Minutes they have in hand already. */
  held: number;
}

export interface Load {
  id: string;
  minutes: number;
  /** Who may do it, at least one. */
  able: readonly string[];
  /** Whose turn it would be, or null. */
  turn: string | null;
}

export interface SharedOut {
  /** Who gets what; what nobody here may do is left out. */
  given: Map<string, string>;
  /** The largest load ÷ capacity, as it is and as it would be. */
  before: number;
  after: number;
  turnsKept: boolean;
}

/** Turns are kept unless that makes the largest load larger by more than this share of it. */
const TURNS_WORTH = 0.1;

/**
 * Gives every load to one of those able: the largest (held + given) ÷ capacity as small as can be found, then the sum of its squares.
 * A greedy start, annealed with a seeded chance, then improved by every single move and exchange until none helps. The same seed
 * always gives the same. Throws nothing; loads nobody here is able to do are left out.
 */
export function shareOut(carriers: readonly Carrier[], loads: readonly Load[], seed = 1): SharedOut {
  const doable = loads.filter((load) => load.able.some((id) => carriers.some((one) => one.id === id)));
  const before = Math.max(0, ...carriers.map((one) => one.held / one.capacity));
  const free = solve(carriers, doable, seed);
  const kept = doable.some((load) => fixedTo(load, carriers))
    ? solve(
        carriers,
        doable.map((load) => keeping(load, carriers)),
        seed,
      )
    : free;
  const keeps = kept.largest <= free.largest * (1 + TURNS_WORTH);
  const found = keeps ? kept : free;
  const given = new Map(doable.map((load, nth) => [load.id, carriers[found.owner[nth]!]!.id]));
  return { given, before, after: found.largest, turnsKept: keeps };
}

const fixedTo = ({ turn, able }: Load, carriers: readonly Carrier[]): boolean => turn !== null && able.includes(turn) && carriers.some(({ id }) => id === turn);
const keeping = (load: Load, carriers: readonly Carrier[]): Load => (fixedTo(load, carriers) ? { ...load, able: [load.turn!] } : load);

interface Solution {
  /** Of each load, the place of its carrier. */
  owner: Int32Array;
  largest: number;
}

function solve(carriers: readonly Carrier[], loads: readonly Load[], seed: number): Solution {
  const sharing = new Sharing(carriers, loads);
  sharing.startGreedily();
  sharing.anneal(randomOf(seed));
  sharing.improve();
  return { owner: sharing.owner, largest: sharing.largest };
}

/** Steps for each load and carrier there are, and at most so many. */
const STEPS = 300;
const MOST_STEPS = 60_000;
const WARM = 0.05;
const COLD = 0.0002;
/** What a square counts beside the largest: it breaks ties, and leads away from plateaus. */
const SQUARES = 0.02;

class Sharing {
  readonly owner: Int32Array;
  private readonly sums: Float64Array;
  private readonly able: number[][];
  private readonly minutes: number[];

  constructor(
    private readonly carriers: readonly Carrier[],
    loads: readonly Load[],
  ) {
    const place = new Map(carriers.map(({ id }, nth) => [id, nth]));
    this.able = loads.map((load) => load.able.flatMap((id) => place.get(id) ?? []));
    this.minutes = loads.map((load) => load.minutes);
    this.sums = Float64Array.from(carriers, ({ held }) => held);
    this.owner = new Int32Array(loads.length).fill(-1);
  }

  get largest(): number {
    let largest = 0;
    for (let nth = 0; nth < this.sums.length; nth++) largest = Math.max(largest, this.sums[nth]! / this.carriers[nth]!.capacity);
    return largest;
  }

  /** The longest first, each to whoever would carry least with it; those with few who may before those with many. */
  startGreedily(): void {
    const order = this.minutes.map((_, nth) => nth).sort((a, b) => this.minutes[b]! - this.minutes[a]! || this.able[a]!.length - this.able[b]!.length || a - b);
    for (const load of order) {
      let best = this.able[load]![0]!;
      for (const one of this.able[load]!) if (this.ratioWith(one, this.minutes[load]!) < this.ratioWith(best, this.minutes[load]!)) best = one;
      this.give(load, best);
    }
  }

  /** Moves and exchanges by chance, worse ones too while it is warm; the best seen is kept. */
  anneal(random: () => number): void {
    const movable = this.able.flatMap((able, load) => (able.length > 1 ? [load] : []));
    if (movable.length === 0) return;
    let cost = this.cost();
    let best = { cost, owner: this.owner.slice() };
    const steps = Math.min(MOST_STEPS, STEPS * movable.length * this.carriers.length);
    for (let step = 0; step < steps; step++) {
      const heat = WARM * (COLD / WARM) ** (step / steps);
      const undo = this.tryChange(movable[Math.floor(random() * movable.length)]!, movable, random);
      if (!undo) continue;
      const next = this.cost();
      if (next <= cost || random() < Math.exp((cost - next) / heat)) {
        cost = next;
        if (cost < best.cost - 1e-12) best = { cost, owner: this.owner.slice() };
      } else undo();
    }
    for (const load of movable) this.give(load, best.owner[load]!);
  }

  /** Every move and every exchange, until none makes the largest smaller, or the squares with the largest as it is. */
  improve(): void {
    for (let better = true; better;) {
      better = false;
      for (let load = 0; load < this.owner.length; load++) {
        for (const to of this.able[load]!) better = this.improvesBy(() => this.move(load, to)) || better;
        for (let other = load + 1; other < this.owner.length; other++) better = this.improvesBy(() => this.exchange(load, other)) || better;
      }
    }
  }

  private improvesBy(change: () => (() => void) | null): boolean {
    const [largest, squares] = [this.largest, this.squares()];
    const undo = change();
    if (!undo) return false;
    const now = this.largest;
    if (now < largest - 1e-9 || (now <= largest + 1e-12 && this.squares() < squares - 1e-9)) return true;
    undo();
    return false;
  }

  private tryChange(load: number, movable: readonly number[], random: () => number): (() => void) | null {
    if (random() < 0.5) return this.move(load, this.able[load]![Math.floor(random() * this.able[load]!.length)]!);
    return this.exchange(load, movable[Math.floor(random() * movable.length)]!);
  }

  private move(load: number, to: number): (() => void) | null {
    const from = this.owner[load]!;
    if (from === to) return null;
    this.give(load, to);
    return () => this.give(load, from);
  }

  private exchange(one: number, other: number): (() => void) | null {
    const [a, b] = [this.owner[one]!, this.owner[other]!];
    if (a === b || !this.able[one]!.includes(b) || !this.able[other]!.includes(a)) return null;
    this.give(one, b);
    this.give(other, a);
    return () => {
      this.give(one, a);
      this.give(other, b);
    };
  }

  private give(load: number, to: number): void {
    const from = this.owner[load]!;
    if (from >= 0) this.sums[from]! -= this.minutes[load]!;
    this.sums[to]! += this.minutes[load]!;
    this.owner[load] = to;
  }

  private ratioWith = (carrier: number, minutes: number): number => (this.sums[carrier]! + minutes) / this.carriers[carrier]!.capacity;

  private squares(): number {
    let total = 0;
    for (let nth = 0; nth < this.sums.length; nth++) total += (this.sums[nth]! / this.carriers[nth]!.capacity) ** 2;
    return total;
  }

  private cost(): number {
    return this.largest + (SQUARES * this.squares()) / this.sums.length;
  }
}

/** Even numbers from 0 to 1, the same for the same seed (mulberry32). */
function randomOf(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
