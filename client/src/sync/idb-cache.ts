import { deleteDB, openDB, unwrap, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import type { Noun, Row } from '@kotiva/core';
import { noRows, type ChangePage, type Pending, type Refused } from '../store/house.ts';
import { isPassed } from './kept-commands.ts';
import { memoryCache } from './memory-cache.ts';
import type { Cache, Kept, KeptCommand } from './ports.ts';

interface Shape extends DBSchema {
  rows: { key: string; value: { key: string; noun: Noun; row: Row } };
  commands: { key: string; value: KeptCommand & { id: string } };
  cursor: { key: 'cursor'; value: number };
}

/** Goes up when rows get or lose fields. */
const SHAPE = 5;
const PREFIX = 'kotiva';
const nameOf = (accountId: string, houseId: string) => `${PREFIX}/${accountId}/${houseId}`;

/** Nothing is kept beyond this tab: the browser refuses its storage. */
class NotKept extends Error {}

/** What a device keeps of one account × house, in IndexedDB. Where the browser refuses storage, in memory. */
export function idbCache(accountId: string, houseId: string): Cache {
  const spare = memoryCache();
  // it may refuse by throwing at once
  const open = async () =>
    openDB<Shape>(nameOf(accountId, houseId), SHAPE, {
      upgrade: (db, from, _to, tx) => (from === 0 ? makeStores(db) : renew(db, from, tx)),
      // another tab, or signing out, wants it gone
      blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
    });
  const database = open().catch(() => null);
  // pages are written in their order, and none after one that could not be: the cursor goes with them, so it is fetched again
  let written: Promise<void> = Promise.resolve();
  return {
    load: async () => loadAll(await database, spare),
    page(page, since) {
      written = written
        .then(() => afterPainting(page.put.length))
        .then(async () => {
          const db = await database;
          return db ? writePage(db, page, since) : spare.page(page, since);
        });
      return written;
    },
    letGo(gone, cursor) {
      written = written.then(async () => {
        const db = await database;
        return db ? dropRows(db, gone, cursor) : spare.letGo(gone, cursor);
      });
      return written;
    },
    async commands(put, drop) {
      const db = await database;
      if (db) return writeCommands(db, put, drop);
      await spare.commands(put, drop);
      throw new NotKept();
    },
    async forget() {
      const db = await database;
      if (!db) return spare.forget();
      db.close();
      await deleteDB(nameOf(accountId, houseId));
    },
  };
}

function makeStores(db: IDBPDatabase<Shape>): void {
  db.createObjectStore('rows', { keyPath: 'key' });
  db.createObjectStore('commands', { keyPath: 'id' });
  db.createObjectStore('cursor');
}

type Renewing = IDBPTransaction<Shape, StoreNames<Shape>[], 'versionchange'>;

/** Rows of an earlier shape lack fields: they are fetched anew, what still waits to be sent stays. */
async function renew(db: IDBPDatabase<Shape>, from: number, tx: Renewing): Promise<void> {
  void tx.objectStore('rows').clear();
  void tx.objectStore('cursor').clear();
  if (from >= FIRST_WITH_RECORDS) return;
  const before = db as unknown as IDBPDatabase<QueueShape>;
  const queue = await (tx as unknown as IDBPTransaction<QueueShape, ['queue'], 'versionchange'>).objectStore('queue').get('queue');
  before.deleteObjectStore('queue');
  const commands = db.createObjectStore('commands', { keyPath: 'id' });
  const kept = [
    ...(queue?.pending ?? []).map(({ command, ackSeq }) => ({ command, ackSeq, reason: null })),
    ...(queue?.refused ?? []).map(({ command, reason }) => ({ command, ackSeq: null, reason })),
  ];
  for (const [order, record] of kept.entries()) void commands.put({ id: record.command.id, order, ...record });
}

/** Before that all that waited was one record. */
const FIRST_WITH_RECORDS = 5;
interface QueueShape extends DBSchema {
  queue: { key: 'queue'; value: { pending: Pending[]; refused: Refused[] } };
}

/** So many rows are put at once without anybody noticing. */
const FEW = 100;
/** So long the screen is given at the most. */
const LONGEST_BUSY_MS = 500;

/** What has come is shown first. */
const afterPainting = (rows: number) =>
  new Promise<void>((resolve) => {
    if (rows <= FEW || typeof requestIdleCallback !== 'function') setTimeout(resolve, 0);
    else requestIdleCallback(() => resolve(), { timeout: LONGEST_BUSY_MS });
  });

async function writePage(db: IDBPDatabase<Shape>, { put, evict, seq, reset }: ChangePage, since: number): Promise<void> {
  const tx = db.transaction(['rows', 'cursor', 'commands'], 'readwrite');
  const cursor = (await tx.objectStore('cursor').get('cursor')) ?? 0;
  // another tab was here before, or what lies between was never kept
  if (seq <= cursor || (!reset && since > cursor)) return tx.done;
  // without a promise for each of what may be thousands
  const rows = unwrap(tx.objectStore('rows'));
  if (reset) rows.clear();
  for (const { noun, row } of put) rows.put({ key: `${noun}:${row.id}`, noun, row });
  for (const { noun, id } of evict) rows.delete(`${noun}:${id}`);
  void tx.objectStore('cursor').put(seq, 'cursor');
  for (const { id, ackSeq } of await tx.objectStore('commands').getAll()) if (isPassed(ackSeq, seq)) void tx.objectStore('commands').delete(id);
  await tx.done;
}

async function dropRows(db: IDBPDatabase<Shape>, gone: ChangePage['evict'], cursor: number): Promise<void> {
  const tx = db.transaction(['rows', 'cursor'], 'readwrite');
  if ((await tx.objectStore('cursor').get('cursor')) === cursor) {
    const rows = unwrap(tx.objectStore('rows'));
    for (const { noun, id } of gone) rows.delete(`${noun}:${id}`);
  }
  await tx.done;
}

async function writeCommands(db: IDBPDatabase<Shape>, put: readonly KeptCommand[], drop: readonly string[]): Promise<void> {
  // told once it is on the disk: a tap that is shown as kept is
  const tx = db.transaction('commands', 'readwrite', { durability: 'strict' });
  for (const record of put) void tx.store.put({ ...record, id: record.command.id });
  for (const id of drop) void tx.store.delete(id);
  await tx.done;
}

async function loadAll(db: IDBPDatabase<Shape> | null, spare: Cache): Promise<Kept | null> {
  if (!db) return spare.load();
  const tx = db.transaction(['rows', 'commands', 'cursor']);
  const [rows, commands, cursor] = await Promise.all([
    tx.objectStore('rows').getAll(),
    tx.objectStore('commands').getAll(),
    tx.objectStore('cursor').get('cursor'),
  ]);
  const confirmed = noRows();
  for (const { noun, row } of rows) (confirmed[noun] as Record<string, Row>)[row.id] = row;
  return { confirmed, cursor: cursor ?? 0, commands: commands.map(({ id: _id, ...record }) => record) };
}

const namesFrom = async (prefix: string): Promise<string[]> => {
  const known = (await indexedDB.databases?.()) ?? [];
  return known.flatMap(({ name }) => (name?.startsWith(prefix) ? [name] : []));
};

/** Removes everything kept here of an account, or of everyone: after signing out a shared device shows nothing of the last person. */
export async function forgetAll(accountId: string | null): Promise<void> {
  const names = await namesFrom(accountId === null ? `${PREFIX}/` : `${PREFIX}/${accountId}/`);
  await Promise.all(names.map((name) => deleteDB(name)));
}

/** Who was signed out elsewhere finds what they had not sent once they are back; of their houses nothing stays. */
export async function sealAll(): Promise<void> {
  for (const name of await namesFrom(`${PREFIX}/`)) {
    const db = await openDB<Shape>(name);
    const stores = (['rows', 'cursor'] as const).filter((store) => db.objectStoreNames.contains(store));
    if (stores.length > 0) {
      const tx = db.transaction(stores, 'readwrite');
      for (const store of stores) void tx.objectStore(store).clear();
      await tx.done;
    }
    db.close();
  }
}
