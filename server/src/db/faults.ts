import { HouseMoved } from '../houses/house-storage.ts';

/** What SQLite says when the machine is at fault, not what it was asked. */
const OF_STORAGE = ['SQLITE_FULL', 'SQLITE_IOERR', 'SQLITE_READONLY', 'SQLITE_CANTOPEN', 'SQLITE_NOMEM', 'SQLITE_BUSY', 'SQLITE_LOCKED', 'SQLITE_CORRUPT'];

const codeOf = (error: unknown): string => (error instanceof Error && 'code' in error ? String(error.code) : '');

/** There is no room, the file can't be written or read, or a house kept going on meanwhile: nothing was changed, and the same may go well later. */
export const isOfStorage = (error: unknown): boolean => error instanceof HouseMoved || OF_STORAGE.some((code) => codeOf(error).startsWith(code));

/** A row of that id, or with that token, is there already. */
export const isNotUnique = (error: unknown): boolean => /^SQLITE_CONSTRAINT(_UNIQUE|_PRIMARYKEY)?$/.test(codeOf(error));
