import type { Accounts, SignedIn } from './auth/accounts.ts';
import type { CaptureTokens } from './auth/capture-tokens.ts';
import type { AttemptLimit } from './auth/limits.ts';
import type { Clock, SimulatedClock } from './clock.ts';
import type { Storage } from './db/open.ts';
import type { Nudger } from './jobs/nudger.ts';
import type { Ledger } from './sync/apply.ts';
import type { ChangeFeed } from './sync/changes.ts';
import type { LiveHub } from './sync/live.ts';

/** What the routes work with: made once by `createApp`. */
export interface Services {
  storage: Storage;
  clock: Clock;
  /** Only with `--simulate`. */
  simulated: SimulatedClock | null;
  accounts: Accounts;
  tokens: CaptureTokens;
  ledger: Ledger;
  feed: ChangeFeed;
  hub: LiveHub;
  nudger: Nudger;
  perAccount: AttemptLimit;
  perAddress: AttemptLimit;
  /** Sign in as anyone with one tap: demo mode. */
  demo: boolean;
  publicUrl: string;
}

export interface Env {
  Variables: { signedIn: SignedIn };
}
