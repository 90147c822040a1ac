import { breathe } from '../slices.ts';
import type { Actor, CommandOutcome, Given, Ledger, NewCommand } from './apply.ts';

/** A group ends there, so that nobody waits long for those before them. */
const MOST_COMMANDS = 64;
const MOST_MS = 20;

interface Waiting extends Given {
  resolve(outcome: CommandOutcome): void;
  reject(fault: unknown): void;
}

/**
 * Commands that come in together are committed together: a disk takes as long for one as for many. It never waits for a group to fill;
 * what comes in while one is written is the next.
 */
export class CommandGroups {
  private readonly line: Waiting[] = [];
  private isRunning = false;

  constructor(
    private readonly ledger: Ledger,
    private readonly mostMs = MOST_MS,
  ) {}

  /** Decides and commits a command with whatever else came in. Rejects with what it, a write or the commit failed with. */
  submit(command: NewCommand, account: Actor | null): Promise<CommandOutcome> {
    return new Promise((resolve, reject) => {
      this.line.push({ command, account, resolve, reject });
      if (!this.isRunning) void this.run();
    });
  }

  private async run(): Promise<void> {
    this.isRunning = true;
    while (this.line.length > 0) {
      // others that are on their way in join
      await breathe();
      const group = this.line.slice(0, MOST_COMMANDS);
      try {
        this.settle(group);
      } catch (fault) {
        this.line.splice(0, group.length);
        if (this.ledger.isFaultOfStorage(fault)) for (const { reject } of group) reject(fault);
        else await this.oneByOne(group);
      }
    }
    this.isRunning = false;
  }

  private settle(group: readonly Waiting[]): void {
    if (group.length === 1) return this.alone(this.line.shift()!);
    const from = performance.now();
    const outcomes = this.ledger.applyGroup(group, () => performance.now() - from > this.mostMs);
    this.line.splice(0, outcomes.length);
    for (const [nth, outcome] of outcomes.entries()) {
      if (outcome instanceof Error) group[nth]!.reject(outcome);
      else group[nth]!.resolve(outcome);
    }
  }

  /** One of them could not be written, and nothing of the group was: the others shall not fail with it. */
  private async oneByOne(group: readonly Waiting[]): Promise<void> {
    for (const one of group) {
      this.alone(one);
      await breathe();
    }
  }

  private alone({ command, account, resolve, reject }: Waiting): void {
    try {
      resolve(this.ledger.apply(command, account));
    } catch (fault) {
      reject(fault);
    }
  }
}
