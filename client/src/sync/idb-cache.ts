import { deleteDB, openDB, unwrap, type DBSchema, type IDBPDatabase } from 'idb';
import type { Noun, Row } from '@kotiva/core';
import { noRows, type Page, type Pending, type Refused } from '../store/house.ts';
import { memoryCache } from './memory-cache.ts';
import type { Cache, Kept } from './ports.ts';

interface Shape extends DBSchema {
  rows: { key: string; value: { key: string; noun: Noun; row: Row } };
  queue: { key: 'queue'; value: { pending: Pending[]; refused: Refused[] } };
  cursor: { key: 'cursor'; value: number };
}

/** Goes up when rows get or lose fields. */
const SHAPE = 4;
const PREFIX = 'kotiva';
const nameOf = (accountId: string, houseId: string) => `${PREFIX}/${accountId}/${houseId}`;

/** What a device keeps of one account × house, in IndexedDB. Where the browser refuses storage, in memory. */
export function idbCache(accountId: string, houseId: string): Cache {
  const spare = memoryCache();
  // it may refuse by throwing at once
  const open = async () =>
    openDB<Shape>(nameOf(accountId, houseId), SHAPE, {
      upgrade(db, from, _to, tx) {
        if (from > 0) {
          // rows of an earlier shape lack fields: they are fetched anew, what still waits to be sent stays
          void tx.objectStore('rows').clear();
          return void tx.objectStore('cursor').clear();
        }
        db.createObjectStore('rows', { keyPath: 'key' });
        db.createObjectStore('queue');
        db.createObjectStore('cursor');
      },
      // another tab, or signing out, wants it gone
      blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
    });
  const database = open().catch(() => null);
  // pages are written in their order, and none after one that could not be: the cursor goes with them, so it is fetched again
  let written: Promise<void> = Promise.resolve();
  const withDb = async <T>(work: (db: IDBPDatabase<Shape>) => Promise<T>, otherwise: () => Promise<T>): Promise<T> => {
    const db = await database;
    return db ? work(db) : otherwise();
  };
  return {
    load: () => withDb(loadAll, () => spare.load()),
    page(page) {
      written = written.then(afterPainting).then(() =>
        withDb(
          (db) => writePage(db, page),
          () => spare.page(page),
        ),
      );
      return written;
    },
    pending: (pending, refused) =>
      withDb(
        async (db) => void (await db.put('queue', { pending, refused }, 'queue')),
        () => spare.pending(pending, refused),
      ),
    forget: () =>
      withDb(
        async (db) => {
          db.close();
          await deleteDB(nameOf(accountId, houseId));
        },
        () => spare.forget(),
      ),
  };
}

/** What has come is shown first. */
const afterPainting = () => new Promise((resolve) => setTimeout(resolve, 0));

async function writePage(db: IDBPDatabase<Shape>, { put, evict, seq, reset }: Page): Promise<void> {
  const tx = db.transaction(['rows', 'cursor'], 'readwrite');
  // without a promise for each of what may be thousands
  const rows = unwrap(tx.objectStore('rows'));
  if (reset) rows.clear();
  for (const { noun, row } of put) rows.put({ key: `${noun}:${row.id}`, noun, row });
  for (const { noun, id } of evict) rows.delete(`${noun}:${id}`);
  void tx.objectStore('cursor').put(seq, 'cursor');
  await tx.done;
}

async function loadAll(db: IDBPDatabase<Shape>): Promise<Kept> {
  const [rows, queue, cursor] = await Promise.all([db.getAll('rows'), db.get('queue', 'queue'), db.get('cursor', 'cursor')]);
  const confirmed = noRows();
  for (const { noun, row } of rows) (confirmed[noun] as Record<string, Row>)[row.id] = row;
  return { confirmed, cursor: cursor ?? 0, pending: queue?.pending ?? [], refused: queue?.refused ?? [] };
}

/** Removes everything kept here of an account, or of everyone: after signing out a shared device shows nothing of the last person. */
export async function forgetAll(accountId: string | null): Promise<void> {
  const known = (await indexedDB.databases?.()) ?? [];
  const prefix = accountId === null ? `${PREFIX}/` : `${PREFIX}/${accountId}/`;
  await Promise.all(known.flatMap(({ name }) => (name?.startsWith(prefix) ? [deleteDB(name)] : [])));
}
