import type { Accounts, SignedIn } from './auth/accounts.ts';
import type { CaptureTokens } from './auth/capture-tokens.ts';
import type { TrustedProxies } from './auth/addresses.ts';
import type { KnownDevices } from './auth/known-devices.ts';
import type { AttemptLimit } from './auth/limits.ts';
import type { Clock, SimulatedClock } from './clock.ts';
import type { Storage } from './db/open.ts';
import type { KeptFiles } from './files/kept-files.ts';
import type { Timers } from './jobs/timers.ts';
import type { Health } from './health.ts';
import type { MailIn } from './mail-in/mail-in.ts';
import type { Outbox, Ways } from './notify/outbox.ts';
import type { VapidKeys } from './notify/web-push.ts';
import type { OutsideDesk } from './outside/desk.ts';
import type { OutsideLinks } from './outside/links.ts';
import type { SearchIndex } from './search/search-index.ts';
import type { Ledger } from './sync/apply.ts';
import type { CommandGroups } from './sync/groups.ts';
import type { ChangeFeed } from './sync/changes.ts';
import type { LiveHub } from './sync/live.ts';
import type { Geocoder } from './places/geocoder.ts';

export type SignUp = 'open' | 'invited' | 'closed';

/** What is counted against whom. */
export interface Limits {
  /** Sign-ins tried for one account, from devices it does not know. */
  account: AttemptLimit;
  /** Sign-ins tried from one network. */
  address: AttemptLimit;
  /** Sign-ins tried on one device an account knows. */
  knownDevice: AttemptLimit;
  /** Accounts made from one network. */
  signUps: AttemptLimit;
  /** Links, keys and addresses that were not known, from one network. */
  links: AttemptLimit;
}

/** What the routes work with: made once by `createApp`. */
export interface Services {
  storage: Storage;
  clock: Clock;
  /** Only with `--simulate`. */
  simulated: SimulatedClock | null;
  accounts: Accounts;
  tokens: CaptureTokens;
  ledger: Ledger;
  /** The words of everything, to be found by. */
  search: SearchIndex;
  /** Null: this server keeps no files. */
  files: KeptFiles | null;
  /** Where commands of devices are given. */
  groups: CommandGroups;
  feed: ChangeFeed;
  hub: LiveHub;
  timers: Timers;
  health: Health;
  outbox: Outbox;
  ways: Ways;
  vapid: VapidKeys;
  links: OutsideLinks;
  desk: OutsideDesk;
  /** Null: no port is set for mail that comes in. */
  mailIn: MailIn | null;
  mailDomain: string;
  /** Devices may subscribe at the stand-in of this server. */
  simulatedPush: boolean;
  /** Null: addresses can't be looked up. */
  geocoder: Geocoder | null;
  /** The drawing of the region, GeoJSON (RFC 7946) as text; null: there is none. */
  map: string | null;
  knownDevices: KnownDevices;
  limits: Limits;
  proxies: TrustedProxies;
  /** Who may make an account: everybody, who holds an invitation, or nobody. */
  signUp: SignUp;
  /** Sign in as anyone with one tap: demo mode. */
  demo: boolean;
  publicUrl: string;
}

export interface Env {
  Variables: { signedIn: SignedIn };
}
