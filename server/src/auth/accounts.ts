import { createHash, randomBytes } from 'node:crypto';
import { and, eq, lt, ne, or, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { isOfStorage } from '../db/faults.ts';
import type { Db } from '../db/open.ts';
import { account, device } from '../db/schema.ts';
import { Hashing } from './passwords.ts';

export interface Account {
  id: string;
  email: string;
  name: string;
  theme: string;
}
export interface SignedIn {
  account: Account;
  deviceId: string;
  /** Used today for the first time: its cookie is given anew, so that it lasts from now on. */
  renewed: boolean;
}
export interface Device {
  id: string;
  label: string;
  createdAt: string;
  lastSeenAt: string;
}

const SEEN_EVERY_MS = 60_000;
const DAY_MS = 86_400_000;
/** A sign-in ends when it was not used for so long, and after a year at the latest. */
export const SESSION_DAYS = 90;
const LONGEST_SESSION_DAYS = 365;

/** Who signs in, and the browsers they are signed in on. Real time, not domain time. */
export class Accounts {
  private readonly hashing = new Hashing();
  private readonly behind: ReturnType<typeof lookUpBySecret>;

  constructor(private readonly db: Db) {
    this.behind = lookUpBySecret(db);
  }

  /** Null when the address is taken. */
  async create(email: string, password: string, name: string): Promise<Account | null> {
    const made = {
      id: v7(),
      email: email.toLowerCase(),
      name,
      theme: 'device',
      passwordHash: await this.hashing.of(password),
      createdAt: new Date().toISOString(),
    };
    const rows = this.db.insert(account).values(made).onConflictDoNothing().returning().all();
    return rows.length > 0 ? publicPart(made) : null;
  }

  /** Takes the same time whether or not the address is known. */
  async check(email: string, password: string): Promise<Account | null> {
    const known = this.db.select().from(account).where(eq(account.email, email.toLowerCase())).get();
    const right = await this.hashing.fits(known?.passwordHash, password);
    return known && right ? publicPart(known) : null;
  }

  /** The id of the account with an address, whoever asks. */
  idOf(email: string): string | null {
    return this.db.select({ id: account.id }).from(account).where(eq(account.email, email.toLowerCase())).get()?.id ?? null;
  }

  byId(id: string): Account | null {
    const known = this.db.select().from(account).where(eq(account.id, id)).get();
    return known ? publicPart(known) : null;
  }

  all(): Account[] {
    return this.db.select().from(account).all().map(publicPart);
  }

  change(id: string, fields: { name?: string; theme?: string }): void {
    if (Object.keys(fields).length > 0) this.db.update(account).set(fields).where(eq(account.id, id)).run();
  }

  /** Changes the password and signs every other browser out. */
  async changePassword(id: string, password: string, keepDeviceId: string): Promise<void> {
    const passwordHash = await this.hashing.of(password);
    this.db.update(account).set({ passwordHash }).where(eq(account.id, id)).run();
    this.db
      .delete(device)
      .where(and(eq(device.accountId, id), ne(device.id, keepDeviceId)))
      .run();
  }

  /** Signs a browser in; returns the secret for its cookie. */
  signIn(accountId: string, label: string): string {
    const secret = randomBytes(32).toString('base64url');
    const now = new Date().toISOString();
    this.db
      .insert(device)
      .values({ id: v7(), secretHash: digest(secret), accountId, label, createdAt: now, lastSeenAt: now })
      .run();
    return secret;
  }

  bySecret(secret: string): SignedIn | null {
    const known = this.behind.get({ secretHash: digest(secret) });
    if (!known) return null;
    const { id, lastSeenAt, createdAt } = known.device;
    const unused = Date.now() - Date.parse(lastSeenAt);
    if (unused > SESSION_DAYS * DAY_MS || Date.now() - Date.parse(createdAt) > LONGEST_SESSION_DAYS * DAY_MS) return null;
    if (unused > SEEN_EVERY_MS) this.seen(id);
    return { account: publicPart(known.account), deviceId: id, renewed: unused > DAY_MS };
  }

  /** Noted, if there is room for it: nobody is turned away for a full disk. */
  private seen(deviceId: string): void {
    try {
      this.db.update(device).set({ lastSeenAt: new Date().toISOString() }).where(eq(device.id, deviceId)).run();
    } catch (error) {
      if (!isOfStorage(error)) throw error;
    }
  }

  /** Sign-ins that have ended by their time, out of the list of devices too. */
  forgetEnded(): void {
    const before = (days: number) => new Date(Date.now() - days * DAY_MS).toISOString();
    this.db
      .delete(device)
      .where(or(lt(device.lastSeenAt, before(SESSION_DAYS)), lt(device.createdAt, before(LONGEST_SESSION_DAYS))))
      .run();
  }

  devices(accountId: string): Device[] {
    return this.db
      .select()
      .from(device)
      .where(eq(device.accountId, accountId))
      .all()
      .map(({ id, label, createdAt, lastSeenAt }) => ({ id, label, createdAt, lastSeenAt }))
      .sort((a, b) => (a.lastSeenAt < b.lastSeenAt ? 1 : -1));
  }

  /** Calls a browser as its person does: "kitchen tablet". Of another account it does nothing. */
  nameDevice(accountId: string, deviceId: string, label: string): void {
    this.db
      .update(device)
      .set({ label })
      .where(and(eq(device.accountId, accountId), eq(device.id, deviceId)))
      .run();
  }

  /** Signs out one browser, or with null all of them. */
  signOut(accountId: string, deviceId: string | null): void {
    const own = eq(device.accountId, accountId);
    this.db
      .delete(device)
      .where(deviceId === null ? own : and(own, eq(device.id, deviceId)))
      .run();
  }
}

/** Every request asks it: built once. */
const lookUpBySecret = (db: Db) =>
  db
    .select()
    .from(device)
    .innerJoin(account, eq(account.id, device.accountId))
    .where(eq(device.secretHash, sql.placeholder('secretHash')))
    .prepare();

const digest = (secret: string): string => createHash('sha256').update(secret).digest('hex');
const publicPart = ({ id, email, name, theme }: Account): Account => ({ id, email, name, theme });
