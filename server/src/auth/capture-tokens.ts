import { createHash, randomBytes } from 'node:crypto';
import { and, eq, notInArray } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Db } from '../db/open.ts';
import { captureToken } from '../db/schema.ts';

export interface CaptureToken {
  id: string;
  houseId: string;
  name: string;
  createdAt: string;
  lastUsedAt: string | null;
}

const USED_EVERY_MS = 60_000;

/** Keys that let a shortcut or another device add things as a person, and nothing else. Made and withdrawn by that person. */
export class CaptureTokens {
  constructor(private readonly db: Db) {}

  /** The secret is told this once: only its digest is kept. */
  make(accountId: string, houseId: string, name: string): { token: CaptureToken; secret: string } {
    const secret = `kotiva_${randomBytes(32).toString('base64url')}`;
    const token = { id: v7(), houseId, name, createdAt: new Date().toISOString(), lastUsedAt: null };
    this.db
      .insert(captureToken)
      .values({ ...token, accountId, secretHash: digest(secret) })
      .run();
    return { token, secret };
  }

  of(accountId: string): CaptureToken[] {
    return this.db
      .select()
      .from(captureToken)
      .where(eq(captureToken.accountId, accountId))
      .all()
      .map(({ id, houseId, name, createdAt, lastUsedAt }) => ({ id, houseId, name, createdAt, lastUsedAt }));
  }

  withdraw(accountId: string, id: string): void {
    this.db
      .delete(captureToken)
      .where(and(eq(captureToken.accountId, accountId), eq(captureToken.id, id)))
      .run();
  }

  /** Withdraws all of an account but those named. */
  withdrawAllBut(accountId: string, kept: readonly string[]): void {
    this.db
      .delete(captureToken)
      .where(and(eq(captureToken.accountId, accountId), notInArray(captureToken.id, [...kept])))
      .run();
  }

  /** Withdraws those of an account for one house. */
  withdrawOf(accountId: string, houseId: string): void {
    this.db
      .delete(captureToken)
      .where(and(eq(captureToken.accountId, accountId), eq(captureToken.houseId, houseId)))
      .run();
  }

  /** Whose key it is and for which house, or null. */
  use(secret: string): { accountId: string; houseId: string } | null {
    const known = this.db
      .select()
      .from(captureToken)
      .where(eq(captureToken.secretHash, digest(secret)))
      .get();
    if (!known) return null;
    if (Date.now() - Date.parse(known.lastUsedAt ?? known.createdAt) > USED_EVERY_MS || known.lastUsedAt === null)
      this.db.update(captureToken).set({ lastUsedAt: new Date().toISOString() }).where(eq(captureToken.id, known.id)).run();
    return { accountId: known.accountId, houseId: known.houseId };
  }
}

const digest = (secret: string): string => createHash('sha256').update(secret).digest('hex');
