import { and, asc, count, eq, lt } from 'drizzle-orm';
import type { Db } from '../db/open.ts';
import { heldMail, mailPath } from '../db/schema.ts';

/** Mails of one person that wait for their word, at most. */
const MOST_HELD = 50;
const KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

export type HeldMail = typeof heldMail.$inferSelect;

/** What came to a capture address and nobody vouches for; and the ways by which mail came that its owner has taken before. Real time. */
export class HeldMails {
  constructor(private readonly db: Db) {}

  /** False: too many wait already. The same mail is held once. */
  hold(mail: Omit<HeldMail, 'at'>): boolean {
    this.forget();
    if (this.many(mail.personId) >= MOST_HELD) return false;
    this.db
      .insert(heldMail)
      .values({ ...mail, at: new Date().toISOString() })
      .onConflictDoNothing()
      .run();
    return true;
  }

  of(personId: string): HeldMail[] {
    return this.db.select().from(heldMail).where(eq(heldMail.personId, personId)).orderBy(asc(heldMail.at)).all();
  }

  /** Null: it is not there any more, or somebody else's. */
  get(personId: string, id: string): HeldMail | null {
    return this.db.select().from(heldMail).where(oneOf(personId, id)).get() ?? null;
  }

  remove(personId: string, id: string): void {
    this.db.delete(heldMail).where(oneOf(personId, id)).run();
  }

  /** From now on mail of this sender that comes by this way is taken without asking. */
  trust({ personId, sender, path }: Pick<HeldMail, 'personId' | 'sender' | 'path'>): void {
    this.db.insert(mailPath).values({ personId, sender, path, at: new Date().toISOString() }).onConflictDoNothing().run();
  }

  trusts({ personId, sender, path }: Pick<HeldMail, 'personId' | 'sender' | 'path'>): boolean {
    const known = and(eq(mailPath.personId, personId), eq(mailPath.sender, sender), eq(mailPath.path, path));
    return this.db.select().from(mailPath).where(known).get() !== undefined;
  }

  private many(personId: string): number {
    return this.db.select({ many: count() }).from(heldMail).where(eq(heldMail.personId, personId)).get()?.many ?? 0;
  }

  private forget(): void {
    this.db
      .delete(heldMail)
      .where(lt(heldMail.at, new Date(Date.now() - KEPT_DAYS * DAY_MS).toISOString()))
      .run();
  }
}

const oneOf = (personId: string, id: string) => and(eq(heldMail.id, id), eq(heldMail.personId, personId));
