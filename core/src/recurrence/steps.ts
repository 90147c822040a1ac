/** Thrown where a rule takes more steps than were granted: it is too costly to work out. */
export class TooCostly extends Error {
  constructor() {
    super('too costly to work out');
  }
}

/**
 * How many steps working out a rule may take: periods and days looked at, times laid out. Counted, never timed, so that every device
 * and the server come to the same end. Throws {@link TooCostly} when they are used up.
 */
export class Steps {
  constructor(private left: number = Number.POSITIVE_INFINITY) {}

  take(many: number): void {
    this.left -= many;
    if (this.left < 0) throw new TooCostly();
  }
}
