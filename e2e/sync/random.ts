/** A small seeded generator (mulberry32): the same seed gives the same run. */
export class Random {
  constructor(private state: number) {}

  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  below(n: number): number {
    return Math.floor(this.next() * n);
  }

  chance(p: number): boolean {
    return this.next() < p;
  }

  pick<T>(from: readonly T[]): T | undefined {
    return from[this.below(from.length)];
  }

  uuid(version: 4 | 7 = 7): string {
    const hex = Array.from({ length: 32 }, () => this.below(16).toString(16));
    hex[12] = String(version);
    hex[16] = '89ab'[this.below(4)]!;
    return hex.join('').replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
  }
}
