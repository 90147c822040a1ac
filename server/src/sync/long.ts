import { breathe } from '../slices.ts';
import type { Actor, Ledger, NewCommand, CommandOutcome } from './apply.ts';
import type { CommandGroups } from './groups.ts';

/**
 * Applies a command with whatever else came in; one that would write too much at once in slices, with others having their turn in
 * between. Each slice is a command in its own transaction, known by an id that follows from the whole one's: one that was cut off goes on
 * where it was when it is given again. What would be refused as a whole is not begun with; a slice that is refused all the same ends it.
 */
export async function applyInSlices(ledger: Ledger, groups: CommandGroups, command: NewCommand, account: Actor | null): Promise<CommandOutcome> {
  const slices = ledger.slicesOf(command, account);
  if (slices.length === 0) return groups.submit(command, account);
  const known = ledger.known(command.id, account);
  if (known) return known;
  // what goes together went at the same moment: it is brought back by that
  const now = ledger.now();
  for (const slice of slices) {
    const outcome = ledger.apply({ ...command, ...slice }, account, { now, slice: true });
    if (outcome.outcome === 'refused') return { ...outcome, id: command.id };
    await breathe();
  }
  return ledger.apply(command, account, { now, ahead: slices.length });
}
