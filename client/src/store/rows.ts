import { createSelector } from '@reduxjs/toolkit';
import { recordOf, type Command, type Decision, type MemoryRows, type RecordedCommand } from '@kotiva/core';
import { deciding } from './deciding.ts';
import type { HouseState } from './house.ts';

/** What a device shows: the confirmed rows with the pending commands replayed over them. */
export const selectRows = createSelector(
  [
    (state: HouseState) => state.confirmed,
    (state: HouseState) => state.pending,
    (state: HouseState) => state.recent,
    (state: HouseState) => state.accountId,
    (state: HouseState) => state.decides,
  ],
  (confirmed, pending, recent, accountId): MemoryRows => {
    const rows = confirmed.rows.over();
    for (const command of recent) rows.remember(command);
    for (const { command } of pending) replay(rows, command, accountId);
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
