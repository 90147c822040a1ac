import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { FileFolder } from '../files/file-folder.ts';

/** A file of a mail: what it is called, and its bytes. */
export interface MailedFile {
  name: string;
  bytes: Buffer;
}

/** What came with mails that wait for their owner's word: beside what is kept, by the id of the mail, until it is taken or thrown away. */
export class HeldFiles {
  private readonly folder: string;

  constructor(private readonly files: Pick<FileFolder, 'root' | 'room'>) {
    this.folder = join(files.root, 'held');
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
  }

  /** Bytes that may still be written. */
  room = (): number => this.files.room();

  /** The same mail twice is kept once. */
  keep(mailId: string, files: readonly MailedFile[]): void {
    for (const [nth, { bytes }] of files.entries()) writeFileSync(this.pathOf(mailId, nth), bytes, { mode: 0o600 });
  }

  /** In the order they came, those that are still there. */
  read(mailId: string, names: readonly string[]): MailedFile[] {
    const there = new Set(this.namesOf(mailId));
    return names.flatMap((name, nth) => (there.has(`${mailId}.${nth}`) ? [{ name, bytes: readFileSync(this.pathOf(mailId, nth)) }] : []));
  }

  drop(mailId: string): void {
    for (const name of this.namesOf(mailId)) rmSync(join(this.folder, name), { force: true });
  }

  private pathOf = (mailId: string, nth: number): string => join(this.folder, `${mailId}.${nth}`);
  private namesOf = (mailId: string): string[] => readdirSync(this.folder).filter((name) => name.startsWith(`${mailId}.`));
}
