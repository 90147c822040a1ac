import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Db } from '../db/open.ts';
import { outsideLink, setting } from '../db/schema.ts';

const KEY = 'link-secret';
const MAC_HEX = 24;

/** Whom an address or link stands for. */
export interface LinkOwner {
  houseId: string;
  personId: string;
}

/**
 * What stands for somebody in an address: of a page, for who has no account; of a mail, for everyone. It can't be guessed (96 bits by
 * HMAC-SHA-256 under this installation's secret), and is not kept: only which ones are still good is.
 */
export class OutsideLinks {
  private readonly secret: Buffer;

  constructor(private readonly db: Db) {
    const known = db.select().from(setting).where(eq(setting.key, KEY)).get();
    const secret = known?.value ?? randomBytes(32).toString('base64url');
    if (!known) db.insert(setting).values({ key: KEY, value: secret }).run();
    this.secret = Buffer.from(secret, 'base64url');
  }

  /** The link of a person, made if there is none. Hex, 56 digits. */
  tokenOf({ houseId, personId }: LinkOwner): string {
    const known = this.db
      .select()
      .from(outsideLink)
      .where(and(eq(outsideLink.personId, personId), eq(outsideLink.houseId, houseId), isNull(outsideLink.withdrawnAt)))
      .orderBy(desc(outsideLink.createdAt))
      .get();
    const id = known?.id ?? v7();
    if (!known) this.db.insert(outsideLink).values({ id, houseId, personId, createdAt: new Date().toISOString() }).run();
    return this.sealed('link', id);
  }

  /** Whose link it is, or null: never was, or withdrawn. */
  ownerOf(token: string): LinkOwner | null {
    const id = this.opened('link', token);
    const known = id ? this.db.select().from(outsideLink).where(eq(outsideLink.id, id)).get() : undefined;
    return known && known.withdrawnAt === null ? { houseId: known.houseId, personId: known.personId } : null;
  }

  withdraw({ houseId, personId }: LinkOwner): void {
    this.db
      .update(outsideLink)
      .set({ withdrawnAt: new Date().toISOString() })
      .where(and(eq(outsideLink.personId, personId), eq(outsideLink.houseId, houseId), isNull(outsideLink.withdrawnAt)))
      .run();
  }

  /** The local part of a person's capture address. */
  captureTokenOf = (personId: string): string => this.sealed('capture', personId);
  /** The person a capture address belongs to, or null. */
  personOfCapture = (token: string): string | null => this.opened('capture', token);

  /** The local part a mail about a notice comes back to. */
  bounceTokenOf = (noticeId: string): string => this.sealed('bounce', noticeId);
  noticeOfBounce = (token: string): string | null => this.opened('bounce', token);

  private sealed(kind: string, id: string): string {
    const hex = id.replaceAll('-', '');
    return hex + this.macOf(kind, hex);
  }

  private opened(kind: string, token: string): string | null {
    if (!/^[0-9a-f]{56}$/.test(token)) return null;
    const hex = token.slice(0, 32);
    if (!timingSafeEqual(Buffer.from(token.slice(32)), Buffer.from(this.macOf(kind, hex)))) return null;
    return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
  }

  private macOf = (kind: string, hex: string): string => createHmac('sha256', this.secret).update(`${kind}:${hex}`).digest('hex').slice(0, MAC_HEX);
}
