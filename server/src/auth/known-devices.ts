import { createHash, randomBytes } from 'node:crypto';
import { and, desc, eq, lt } from 'drizzle-orm';
import type { Db } from '../db/open.ts';
import { knownDevice } from '../db/schema.ts';

/** Browsers an account is known on, at most; the one used longest ago goes. */
const MOST = 20;
const KEPT_DAYS = 400;
const DAY_MS = 86_400_000;

/**
 * The browsers an account has signed in on, by a secret of their own that outlives signing out: who guesses elsewhere does not lock
 * the owner out on them.
 */
export class KnownDevices {
  constructor(private readonly db: Db) {}

  knows(accountId: string, secret: string | undefined): boolean {
    if (!isSecret(secret)) return false;
    const since = new Date(Date.now() - KEPT_DAYS * DAY_MS).toISOString();
    const known = this.db.select().from(knownDevice).where(this.one(accountId, secret)).get();
    return known !== undefined && known.usedAt > since;
  }

  /** Remembers the browser for an account; returns its secret: its own, or a new one. */
  remember(accountId: string, secret: string | undefined): string {
    const own = isSecret(secret) ? secret : randomBytes(32).toString('base64url');
    const usedAt = new Date().toISOString();
    this.db
      .insert(knownDevice)
      .values({ accountId, secretHash: digest(own), usedAt })
      .onConflictDoUpdate({ target: [knownDevice.accountId, knownDevice.secretHash], set: { usedAt } })
      .run();
    const oldest = this.db
      .select()
      .from(knownDevice)
      .where(eq(knownDevice.accountId, accountId))
      .orderBy(desc(knownDevice.usedAt))
      .all()
      .at(MOST - 1);
    if (oldest)
      this.db
        .delete(knownDevice)
        .where(and(eq(knownDevice.accountId, accountId), lt(knownDevice.usedAt, oldest.usedAt)))
        .run();
    return own;
  }

  forgetAll(accountId: string): void {
    this.db.delete(knownDevice).where(eq(knownDevice.accountId, accountId)).run();
  }

  private one = (accountId: string, secret: string) => and(eq(knownDevice.accountId, accountId), eq(knownDevice.secretHash, digest(secret)));
}

const isSecret = (secret: string | undefined): secret is string => secret !== undefined && /^[\w-]{43}$/.test(secret);
const digest = (secret: string): string => createHash('sha256').update(secret).digest('hex');
