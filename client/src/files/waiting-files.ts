import { openDB, type DBSchema } from 'idb';

/** A file chosen on this device that the server has not got all of yet. */
export interface WaitingFile {
  /** The id of its attachment. */
  id: string;
  /** The command that announces it. */
  commandId: string;
  /** The file's own bytes: what it was made of may be gone from the device. */
  blob: Blob;
  paused: boolean;
  /** The server knows of it: it is asked how much has come. */
  begun: boolean;
  /** Milliseconds since 1970. */
  at: number;
}

/** Where they wait, across reloads and without a line. */
export interface WaitingFiles {
  all(): Promise<WaitingFile[]>;
  put(file: WaitingFile): Promise<void>;
  drop(id: string): Promise<void>;
}

interface Shape extends DBSchema {
  files: { key: string; value: WaitingFile };
}

/** In this tab only. */
export function filesInMemory(): WaitingFiles {
  const files = new Map<string, WaitingFile>();
  return {
    all: () => Promise.resolve([...files.values()]),
    put: (file) => Promise.resolve(void files.set(file.id, file)),
    drop: (id) => Promise.resolve(void files.delete(id)),
  };
}

/** In IndexedDB, beside what else is kept of that account × house, and gone with it. Where the browser refuses storage, in memory. */
export function filesOnDevice(accountId: string, houseId: string): WaitingFiles {
  const spare = filesInMemory();
  const open = async () =>
    openDB<Shape>(`kotiva/${accountId}/${houseId}/files`, 1, {
      upgrade: (db) => void db.createObjectStore('files', { keyPath: 'id' }),
      // signing out wants it gone
      blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
    });
  const database = open().catch(() => null);
  return {
    async all() {
      const db = await database;
      const files = db ? await db.getAll('files') : [];
      return [...files, ...(await spare.all())].sort((a, b) => a.at - b.at);
    },
    async put(file) {
      const db = await database;
      const isKept = await db?.put('files', file).then(
        () => true,
        () => false,
      );
      if (!isKept) await spare.put(file);
    },
    async drop(id) {
      const db = await database;
      await spare.drop(id);
      await db?.delete('files', id).catch(() => undefined);
    },
  };
}
