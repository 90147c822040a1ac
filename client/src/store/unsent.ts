import { useHouseState } from './store.ts';

/** What was decided here and not yet confirmed stands after everything the server has: see `replay` in rows.ts. */
const isDecidedHere = ({ seq }: { seq: number }): boolean => seq === Number.MAX_SAFE_INTEGER;

/** Whether something of these rows waits to be sent, and can't go just now: on its way it is for a moment with every tap. */
export function useUnsent(rows: readonly { seq: number }[]): boolean {
  const isHeldUp = useHouseState(({ line, heldUp }) => line === 'offline' || heldUp !== null);
  return isHeldUp && rows.some(isDecidedHere);
}
