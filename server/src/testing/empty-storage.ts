import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStorage, type Storage } from '../db/open.ts';

const MIGRATIONS = join(__dirname, '../../drizzle');
const NAME = 'kotiva.sqlite';

/** Opens the database in a folder; a new one begins as a copy of one that all the tests share, since all the migrations take their time. */
export function openIn(folder: string): Storage {
  const file = join(folder, NAME);
  if (!existsSync(file)) copyFileSync(emptyFile(), file);
  return openStorage(file, MIGRATIONS);
}

/** Opens one that nobody finds again: its file is gone from the folders as soon as it is open. */
export function openNew(): Storage {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-new-'));
  const storage = openIn(folder);
  storage.raw.pragma('synchronous = OFF');
  rmSync(folder, { recursive: true });
  return storage;
}

/** With every migration there is and nothing in it; called by what is in those, so that a new one makes another. */
function emptyFile(): string {
  const hash = createHash('sha256');
  for (const name of readdirSync(MIGRATIONS).filter((one) => one.endsWith('.sql'))) hash.update(readFileSync(join(MIGRATIONS, name)));
  const file = join(tmpdir(), `kotiva-empty-${hash.digest('hex').slice(0, 16)}.sqlite`);
  if (existsSync(file)) return file;
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-empty-'));
  openStorage(join(folder, NAME), MIGRATIONS).close();
  renameSync(join(folder, NAME), file);
  rmSync(folder, { recursive: true });
  return file;
}
