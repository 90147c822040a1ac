import type { decide } from '@kotiva/core/commands';

type Decide = typeof decide;

let held: Decide | null = null;
let coming: Promise<void> | null = null;

/** How commands are decided on this device, once it is here. */
export const decidingHere = (): Decide | null => held;

/** Tests and tools bring it with them. */
export const decideWith = (decide: Decide): void => void (held = decide);

/**
 * Commands with the schemas they are read by draw nothing, so that the first screen doesn't wait for them. Rejects where they could not be
 * fetched; asking once more tries again.
 */
export function fetchDeciding(): Promise<void> {
  if (held) return Promise.resolve();
  coming ??= import('@kotiva/core/commands').then(
    ({ decide }) => decideWith(decide),
    (error: unknown) => {
      coming = null;
      throw error;
    },
  );
  return coming;
}
