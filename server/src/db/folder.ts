import Database from 'libsql';
import { chmodSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Said to whoever starts the server: a sentence, and what to do. */
export class Unusable extends Error {}

const isOwnFile = (name: string): boolean => /\.sqlite(-wal|-shm|-journal)?$|^before-.*\.sqlite$/.test(name);

/**
 * The folder of the data: for nobody else on this machine to read, and for one server at a time. Throws {@link Unusable}. Returns how to
 * let go of it.
 */
export function takeFolder(folder: string): () => void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    chmodSync(folder, 0o700);
  } catch (error) {
    throw new Unusable(`The data folder ${folder} can't be written: ${(error as Error).message}. Choose another with --data or KOTIVA_DATA.`);
  }
  const release = lock(folder);
  keepPrivate(folder);
  return release;
}

/** Files that are there already, and those SQLite makes beside them. */
export function keepPrivate(folder: string): void {
  for (const name of readdirSync(folder)) if (isOwnFile(name)) chmodSync(join(folder, name), 0o600);
}

/**
 * An exclusive transaction, held as long as the process lives: the operating system lets go of it however the process ends, which a
 * file with a process id in it does not.
 */
function lock(folder: string): () => void {
  const file = join(folder, 'lock.sqlite');
  let db: Database.Database | null = null;
  try {
    db = new Database(file);
    db.exec('PRAGMA busy_timeout = 0');
    db.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    db?.close();
    const code = String((error as { code?: unknown }).code);
    if (code.startsWith('SQLITE_BUSY')) throw new Unusable(`Another Kotiva server uses the data folder ${folder}. Stop it first, or choose another folder.`);
    throw new Unusable(`The data folder ${folder} can't be written: ${(error as Error).message}. Choose another with --data or KOTIVA_DATA.`);
  }
  const held = db;
  return () => {
    held.exec('ROLLBACK');
    held.close();
  };
}
