import { chmodSync, mkdirSync, readdirSync, rmSync, statfsSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** A picture in its sizes: 320 and 1280 pixels at its longer side, and as large as it came. `whole`: the bytes as they came. */
export const PICTURE_SIZES = ['small', 'middle', 'large'] as const;
export type PictureSize = (typeof PICTURE_SIZES)[number];
export type KeptAs = PictureSize | 'whole';

/** Bytes that stay free for the database, and for the sizes that are made of pictures. */
const LEFT_FREE = 64 * 1024 * 1024;

const KEPT_AS: readonly KeptAs[] = [...PICTURE_SIZES, 'whole'];

/**
 * Where the bytes lie, beside the database: in `coming` what is on its way, by the id of its attachment; in `kept` what has come, by its
 * SHA-256. Of a picture only what was made of it is kept: upright, and without a word of where it was taken.
 */
export class FileFolder {
  readonly coming: string;
  private readonly kept: string;

  constructor(readonly root: string) {
    this.coming = join(root, 'coming');
    this.kept = join(root, 'kept');
    for (const folder of [root, this.coming, this.kept]) mkdirSync(folder, { recursive: true, mode: 0o700 });
    // an earlier one may have been made by hand
    chmodSync(root, 0o700);
  }

  comingPath = (id: string): string => join(this.coming, id);

  keptPath(sha256: string, as: KeptAs): string {
    const folder = join(this.kept, sha256.slice(0, 2));
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    return join(folder, `${sha256}.${as}`);
  }

  /** Whether so many bytes more can be written, and the rest of the server still can. */
  hasSpaceFor(bytes: number): boolean {
    return this.room() >= bytes;
  }

  /** Bytes that may still be written. */
  room = (): number => this.freeBytes() - LEFT_FREE;

  /** Bytes free where it lies. */
  freeBytes(): number {
    const { bavail, bsize } = statfsSync(this.root);
    return bavail * bsize;
  }

  /** Bytes that have come so far; null: nothing is on its way by that id. */
  comingBytes = (id: string): number | null => statSync(this.comingPath(id), { throwIfNoEntry: false })?.size ?? null;

  dropComing(id: string): void {
    for (const path of ['', '.json', '.small', '.small.part'].map((end) => this.comingPath(id) + end)) rmSync(path, { force: true });
  }

  dropKept(sha256: string): void {
    for (const as of KEPT_AS) rmSync(this.keptPath(sha256, as), { force: true });
  }

  /** Of a picture that is there in every size: the bytes as they came. */
  dropWhole = (sha256: string): void => rmSync(this.keptPath(sha256, 'whole'), { force: true });

  /** The ids of what is on its way. */
  allComing = (): string[] => [...new Set(readdirSync(this.coming).map((name) => name.split('.')[0]!))];

  /** The hashes of what is kept, a folder at a time. */
  *allKept(): Generator<string[]> {
    for (const folder of readdirSync(this.kept)) yield [...new Set(readdirSync(join(this.kept, folder)).map((name) => name.split('.')[0]!))];
  }
}
