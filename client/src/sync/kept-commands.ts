import type { HouseState } from '../store/house.ts';
import type { KeptCommand } from './ports.ts';

type Commands = Pick<HouseState, 'pending' | 'refused'>;

/** What comes back of kept commands: those the cursor has passed are in the rows already. */
export function commandsOf(records: readonly KeptCommand[], cursor: number): Commands {
  const ordered = [...records].sort((a, b) => a.order - b.order || (a.command.id < b.command.id ? -1 : 1));
  return {
    pending: ordered.flatMap(({ command, ackSeq, reason }) => (reason === null && !isPassed(ackSeq, cursor) ? [{ command, ackSeq }] : [])),
    refused: ordered.flatMap(({ command, reason }) => (reason === null ? [] : [{ command, reason }])),
  };
}

export const isPassed = (ackSeq: number | null, cursor: number): boolean => ackSeq !== null && ackSeq <= cursor;

/** The commands of this tab as they were last kept: says what of them has changed since. Those of other tabs are theirs. */
export class KeptCommands {
  private kept = new Map<string, KeptCommand>();
  private readonly orders = new Map<string, number>();
  private last = 0;

  /** What was found kept is known. */
  begin(records: readonly KeptCommand[]): void {
    this.kept = new Map(records.map((record) => [record.command.id, record]));
    for (const { command, order } of records) this.orders.set(command.id, order);
    this.last = Math.max(0, ...this.orders.values());
  }

  /** What has to be put and dropped for `commands` to be kept; afterwards they count as kept if `done` is called. */
  changesTo(commands: Commands): { put: KeptCommand[]; drop: string[]; done(): void } {
    const records = this.recordsOf(commands);
    const put = [...records.values()].filter((record) => !isSame(record, this.kept.get(record.command.id)));
    const drop = [...this.kept.keys()].filter((id) => !records.has(id));
    return { put, drop, done: () => (this.kept = records) };
  }

  private recordsOf({ pending, refused }: Commands): Map<string, KeptCommand> {
    const records = new Map<string, KeptCommand>();
    for (const { command, ackSeq } of pending) records.set(command.id, { order: this.orderOf(command.id), command, ackSeq, reason: null });
    for (const { command, reason } of refused) records.set(command.id, { order: this.orderOf(command.id), command, ackSeq: null, reason });
    return records;
  }

  private orderOf(id: string): number {
    const order = this.orders.get(id) ?? ++this.last;
    this.orders.set(id, order);
    return order;
  }
}

const isSame = (a: KeptCommand, b: KeptCommand | undefined): boolean => b !== undefined && a.ackSeq === b.ackSeq && a.reason === b.reason;
