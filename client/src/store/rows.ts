import { createSelector, lruMemoize } from '@reduxjs/toolkit';
import { recordOf, type Command, type Decision, type MemoryRows, type RecordedCommand } from '@kotiva/core';
import { deciding } from './deciding.ts';
import type { HouseState } from './house.ts';

/** The commands that wait, the same as long as they are the same: that one was acknowledged changes nothing on the screen. */
const selectWaiting = createSelector([(state: HouseState) => state.pending], (pending) => pending.map(({ command }) => command), {
  memoize: lruMemoize,
  memoizeOptions: { resultEqualityCheck: isSameList },
});

function isSameList(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, nth) => one === b[nth]);
}

/** What a device shows: the confirmed rows with the pending commands replayed over them. */
export const selectRows = createSelector(
  [
    (state: HouseState) => state.confirmed,
    selectWaiting,
    (state: HouseState) => state.recent,
    (state: HouseState) => state.accountId,
    (state: HouseState) => state.decides,
  ],
  (confirmed, waiting, recent, accountId): MemoryRows => {
    const rows = confirmed.rows.over();
    for (const command of recent) rows.remember(command);
    for (const command of waiting) replay(rows, command, accountId);
    return rows;
  },
);

/** Decides a command here and now: the moment of the tap stands for the server's clock. Unknown for as long as nothing is decided here yet. */
export function decideHere(command: Command, rows: MemoryRows, accountId: string | null): Decision {
  const decide = deciding.held();
  if (!decide) return { outcome: 'unknown' };
  return decide(command, rows, { now: command.at, account: accountId === null ? null : { id: accountId, name: '' } });
}

function replay(rows: MemoryRows, command: Command, accountId: string | null): void {
  const decision = decideHere(command, rows, accountId);
  if (decision.outcome !== 'accepted') return;
  rows.apply(decision.changes, {
    commandId: command.id,
    name: command.name,
    payload: command.payload,
    actorId: decision.actorId,
    seq: Number.MAX_SAFE_INTEGER,
  });
}

/** What undoing a command decided here would need. */
export function recordHere(command: Command, decision: Decision, rows: MemoryRows): RecordedCommand | null {
  if (decision.outcome !== 'accepted') return null;
  const changes = decision.changes.map((change) => recordOf(change, rows.find(change.noun, change.id)));
  return { id: command.id, name: command.name, actorId: decision.actorId, payload: command.payload, changes };
}
