import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { v7 } from 'uuid';
import { isOfStorage } from '../db/faults.ts';
import type { Db } from '../db/open.ts';
import { mailStop, outsideLink, setting } from '../db/schema.ts';

const KEY = 'link-secret';
const MAC_HEX = 24;
const DAY_MS = 86_400_000;
/** A link nobody used, and no mail went out with, ends after so many days. */
const SILENT_DAYS = 180;

type KnownLink = Pick<typeof outsideLink.$inferSelect, 'id' | 'createdAt' | 'usedAt'>;
const isSilent = ({ createdAt, usedAt }: KnownLink): boolean => Date.now() - Date.parse(usedAt ?? createdAt) > SILENT_DAYS * DAY_MS;

const stopOf = ({ houseId, personId }: LinkOwner) => and(eq(mailStop.houseId, houseId), eq(mailStop.personId, personId));

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

  /** The link of a person, made if there is none that is still good; it is good for so long from now on. Hex, 56 digits. */
  tokenOf({ houseId, personId }: LinkOwner): string {
    const found = this.db
      .select()
      .from(outsideLink)
      .where(and(eq(outsideLink.personId, personId), eq(outsideLink.houseId, houseId), isNull(outsideLink.withdrawnAt)))
      .orderBy(desc(outsideLink.createdAt))
      .get();
    const known = found && !isSilent(found) ? found : undefined;
    if (known) this.used(known);
    const id = known?.id ?? v7();
    if (!known) this.db.insert(outsideLink).values({ id, houseId, personId, createdAt: new Date().toISOString() }).run();
    return this.sealed('link', id);
  }

  /** Whose link it is, or null: never was, withdrawn, or not used for so long that it has ended. */
  ownerOf(token: string): LinkOwner | null {
    const id = this.opened('link', token);
    const known = id ? this.db.select().from(outsideLink).where(eq(outsideLink.id, id)).get() : undefined;
    if (!known || known.withdrawnAt !== null || isSilent(known)) return null;
    this.used(known);
    return { houseId: known.houseId, personId: known.personId };
  }

  /** At most once a day, and only where there is room: reading never waits for writing. */
  private used({ id, createdAt, usedAt }: KnownLink): void {
    if (Date.now() - Date.parse(usedAt ?? createdAt) < DAY_MS) return;
    try {
      this.db.update(outsideLink).set({ usedAt: new Date().toISOString() }).where(eq(outsideLink.id, id)).run();
    } catch (error) {
      if (!isOfStorage(error)) throw error;
    }
  }

  withdraw({ houseId, personId }: LinkOwner): void {
    this.db
      .update(outsideLink)
      .set({ withdrawnAt: new Date().toISOString() })
      .where(and(eq(outsideLink.personId, personId), eq(outsideLink.houseId, houseId), isNull(outsideLink.withdrawnAt)))
      .run();
  }

  /** Somebody without an account wants no more mail from a house, or wants it again. */
  stopMail({ houseId, personId }: LinkOwner): void {
    this.db.insert(mailStop).values({ houseId, personId, at: new Date().toISOString() }).onConflictDoNothing().run();
  }

  mailAgain(owner: LinkOwner): void {
    this.db.delete(mailStop).where(stopOf(owner)).run();
  }

  isMailStopped = (owner: LinkOwner): boolean => this.db.select().from(mailStop).where(stopOf(owner)).get() !== undefined;

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
