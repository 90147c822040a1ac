import { and, asc, eq, lt } from 'drizzle-orm';
import type { Db } from '../db/open.ts';
import { heldMail, mailPath } from '../db/schema.ts';
import type { HeldFiles, MailedFile } from './held-files.ts';

/** Mails of one person that wait for their word, at most. */
const MOST_HELD = 50;
/** Bytes of all their files together. */
const MOST_HELD_BYTES = 50 * 1024 * 1024;
const KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

export type HeldMail = typeof heldMail.$inferSelect;

/** What came to a capture address and nobody vouches for; and the ways by which mail came that its owner has taken before. Real time. */
export class HeldMails {
  /** Without `folder` no files are kept. */
  constructor(
    private readonly db: Db,
    private readonly folder: HeldFiles | null = null,
  ) {}

  /** False: too many wait already. The same mail is held once. Files beyond the room there is stay in the mail. */
  hold(mail: Omit<HeldMail, 'at' | 'files' | 'filesLeft'>, came: readonly MailedFile[] = []): boolean {
    this.forget();
    const waiting = this.of(mail.personId);
    if (waiting.some(({ id }) => id === mail.id)) return true;
    if (waiting.length >= MOST_HELD) return false;
    const files = this.folder ? fitting(came, Math.min(this.folder.room(), MOST_HELD_BYTES - bytesOf(waiting))) : [];
    this.folder?.keep(mail.id, files);
    this.db
      .insert(heldMail)
      .values({
        ...mail,
        files: files.map(({ name, bytes }) => ({ name, size: bytes.length })),
        filesLeft: came.length - files.length,
        at: new Date().toISOString(),
      })
      .onConflictDoNothing()
      .run();
    return true;
  }

  /** What came with one, as it was sent. */
  filesOf({ id, files }: HeldMail): MailedFile[] {
    return this.folder?.read(id, files.map(({ name }) => name)) ?? []; // prettier-ignore
  }

  of(personId: string): HeldMail[] {
    return this.db.select().from(heldMail).where(eq(heldMail.personId, personId)).orderBy(asc(heldMail.at)).all();
  }

  /** Null: it is not there any more, or somebody else's. */
  get(personId: string, id: string): HeldMail | null {
    return this.db.select().from(heldMail).where(oneOf(personId, id)).get() ?? null;
  }

  remove(personId: string, id: string): void {
    if (!this.get(personId, id)) return;
    this.folder?.drop(id);
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

  private forget(): void {
    const over = lt(heldMail.at, new Date(Date.now() - KEPT_DAYS * DAY_MS).toISOString());
    for (const { id } of this.db.select({ id: heldMail.id }).from(heldMail).where(over).all()) this.folder?.drop(id);
    this.db.delete(heldMail).where(over).run();
  }
}

const bytesOf = (mails: readonly HeldMail[]): number => mails.flatMap(({ files }) => files).reduce((sum, { size }) => sum + size, 0);

/** As many of them as the room is enough for. */
function fitting(files: readonly MailedFile[], room: number): MailedFile[] {
  let left = room;
  return files.filter(({ bytes }) => {
    const fits = bytes.length <= left;
    if (fits) left -= bytes.length;
    return fits;
  });
}

const oneOf = (personId: string, id: string) => and(eq(heldMail.id, id), eq(heldMail.personId, personId));
