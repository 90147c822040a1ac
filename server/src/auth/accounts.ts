import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes } from 'node:crypto';
import { and, eq, ne, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Db } from '../db/open.ts';
import { account, device } from '../db/schema.ts';

export interface Account {
  id: string;
  email: string;
  name: string;
  theme: string;
}
export interface SignedIn {
  account: Account;
  deviceId: string;
}
export interface Device {
  id: string;
  label: string;
  createdAt: string;
  lastSeenAt: string;
}

/** OWASP's recommendation for argon2id: 19 MiB, two passes, one lane. */
const ARGON = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
const SEEN_EVERY_MS = 60_000;

/** Who signs in, and the browsers they are signed in on. Real time, not domain time. */
export class Accounts {
  private decoy: Promise<string> | null = null;
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
      passwordHash: await hash(password, ARGON),
      createdAt: new Date().toISOString(),
    };
    const rows = this.db.insert(account).values(made).onConflictDoNothing().returning().all();
    return rows.length > 0 ? publicPart(made) : null;
  }

  /** Takes the same time whether or not the address is known. */
  async check(email: string, password: string): Promise<Account | null> {
    const known = this.db.select().from(account).where(eq(account.email, email.toLowerCase())).get();
    this.decoy ??= hash(randomBytes(16).toString('hex'), ARGON);
    const right = await verify(known?.passwordHash ?? (await this.decoy), password);
    return known && right ? publicPart(known) : null;
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
    const passwordHash = await hash(password, ARGON);
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
    if (Date.now() - Date.parse(known.device.lastSeenAt) > SEEN_EVERY_MS) {
      this.db.update(device).set({ lastSeenAt: new Date().toISOString() }).where(eq(device.id, known.device.id)).run();
    }
    return { account: publicPart(known.account), deviceId: known.device.id };
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
