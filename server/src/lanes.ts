/** Thrown where too many wait already: who asked may try again in a moment. */
export class Busy extends Error {
  constructor() {
    super('too many wait');
  }
}

/** So many at once, so many more waiting in line; whoever comes then is turned away. */
export class Lanes {
  private busy = 0;
  private readonly line: (() => void)[] = [];

  constructor(
    private readonly atOnce: number,
    private readonly mostWaiting: number,
  ) {}

  async run<T>(task: () => Promise<T>): Promise<T> {
    await this.enter();
    try {
      return await task();
    } finally {
      this.leave();
    }
  }

  private enter(): Promise<void> | void {
    if (this.busy < this.atOnce) return void (this.busy += 1);
    if (this.line.length >= this.mostWaiting) throw new Busy();
    return new Promise((resolve) => this.line.push(resolve));
  }

  private leave(): void {
    const next = this.line.shift();
    // the place goes over to who is next
    if (next) next();
    else this.busy -= 1;
  }
}
