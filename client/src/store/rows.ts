import { createSelector, lruMemoize } from '@reduxjs/toolkit';
import { recordOf, type Command, type Decision, type MemoryRows, type RecordedCommand } from '@kotiva/core';
import { deciding } from './deciding.ts';
import type { Confirmed, HouseState } from './house.ts';

/**
 * The commands laid over what is confirmed, the same as long as they are the same: that one was acknowledged changes nothing on the screen.
 * What is in the confirmed rows already is not laid over them again.
 */
const selectWaiting = createSelector(
  [(state: HouseState) => state.pending],
  (pending) => pending.filter(({ hasCome }) => !hasCome).map(({ command }) => command),
  { memoize: lruMemoize, memoizeOptions: { resultEqualityCheck: isSameList } },
);

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
    waiting.forEach((command, nth) => lay(rows, command, decisionOn({ confirmed, before: waiting.slice(0, nth) }, command, rows, accountId)));
    return rows;
  },
);

/** Decides a command here and now: the moment of the tap stands for the server's clock. Unknown for as long as nothing is decided here yet. */
export function decideHere(command: Command, rows: MemoryRows, accountId: string | null): Decision {
  const decide = deciding.held();
  if (!decide) return { outcome: 'unknown' };
  return decide(command, rows, { now: command.at, account: accountId === null ? null : { id: accountId, name: '' } });
}

/** What a command is decided on: the confirmed rows, and what waits before it. */
interface Ground {
  confirmed: Confirmed;
  before: readonly Command[];
}

const decided = new WeakMap<Command, Ground & { decision: Decision }>();

/** Decided anew only where something else lies under it: neither another tap nor an acknowledgement decides again what waits. */
function decisionOn(ground: Ground, command: Command, rows: MemoryRows, accountId: string | null): Decision {
  const known = decided.get(command);
  if (known?.confirmed === ground.confirmed && isSameList(known.before, ground.before)) return known.decision;
  const decision = decideHere(command, rows, accountId);
  if (decision.outcome !== 'unknown') decided.set(command, { ...ground, decision });
  return decision;
}

/** Decides what is given just now, on what the screen shows. */
export function decideNext(command: Command, state: HouseState): { decision: Decision; rows: MemoryRows } {
  const rows = selectRows(state);
  return { rows, decision: decisionOn({ confirmed: state.confirmed, before: selectWaiting(state) }, command, rows, state.accountId) };
}

function lay(rows: MemoryRows, command: Command, decision: Decision): void {
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
