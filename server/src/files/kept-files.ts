import { epochOf, type Attachment } from '@kotiva/core';
import { SKETCH_TYPE } from '@kotiva/core/model/sketch';
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, renameSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { v5 } from 'uuid';
import type { Clock } from '../clock.ts';
import type { Raw } from '../db/open.ts';
import { Lanes } from '../lanes.ts';
import { breathe } from '../slices.ts';
import type { Actor, Ledger } from '../sync/apply.ts';
import { FileFolder, PICTURE_SIZES, type PictureSize } from './file-folder.ts';
import { HouseRoom, keptSince, type FileLimits } from './house-room.ts';
import { mediaTypeOf, sketchIn } from './media-type.ts';
import { drawSketch, makeRest, makeSmall, type Measures } from './pictures.ts';

/** A file as it is kept. */
export interface KeptFile {
  sha256: string;
  /** Bytes as they came. */
  size: number;
  mediaType: string;
  width: number | null;
  height: number | null;
  isReady: number;
  at: string;
}

export interface WholeFile {
  by: Actor;
  houseId: string;
  commandId: string;
  item: string;
  name: string;
  bytes: Buffer;
}

const DAY_MS = 86_400_000;
/** What began to come and never ended is dropped after so many days. */
const COMING_KEPT_DAYS = 7;
/** So many wait for their turn to be worked on. */
const MOST_WAITING = 2_000;
const SWEPT_AT_ONCE = 100;

/** Files that have come: looked at, made into pictures, given out, and gone once nothing leads to them any more. */
export class KeptFiles {
  readonly folder: FileFolder;
  readonly room: HouseRoom;
  private readonly statements;
  /** Pictures are unpacked one at a time: each takes its size in memory many times over. */
  private readonly first = new Lanes(1, MOST_WAITING);
  private readonly rest = new Lanes(1, MOST_WAITING);
  private readonly finishing = new Map<string, Promise<void>>();
  private readonly making = new Map<string, Promise<void>>();
  /** On their place already, and not known of yet. */
  private readonly takingIn = new Set<string>();

  constructor(
    private readonly raw: Raw,
    private readonly ledger: Ledger,
    private readonly clock: Clock,
    root: string,
    limits: FileLimits,
  ) {
    this.folder = new FileFolder(root);
    this.room = new HouseRoom(raw, limits);
    this.statements = {
      find: raw.prepare('SELECT * FROM kept_file WHERE sha256 = ?'),
      keep: raw.prepare(
        'INSERT INTO kept_file (sha256, size, "mediaType", width, height, "isReady", at) VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (sha256) DO NOTHING',
      ),
      ready: raw.prepare('UPDATE kept_file SET "isReady" = 1 WHERE sha256 = ?'),
      unready: raw.prepare('SELECT * FROM kept_file WHERE "isReady" = 0'),
      unreferenced: raw.prepare(
        `SELECT sha256 FROM kept_file WHERE at <= ?1 AND NOT EXISTS (SELECT 1 FROM attachment WHERE attachment.sha256 = kept_file.sha256 AND ("removedAt" IS NULL OR "removedAt" > ?1)) LIMIT ${SWEPT_AT_ONCE}`,
      ),
      drop: raw.prepare('DELETE FROM kept_file WHERE sha256 = ?'),
      houseOf: raw.prepare('SELECT "houseId" FROM attachment WHERE id = ?'),
    };
  }

  find = (sha256: string): KeptFile | undefined => this.statements.find.get(sha256) as KeptFile | undefined;

  /** The attachment of that id, in whatever house. */
  attachment(id: string): Attachment | undefined {
    const found = this.statements.houseOf.get(id) as { houseId: string } | undefined;
    return found && this.ledger.rows(found.houseId).find('attachment', id);
  }

  /** A file whose bytes are all here, by mail or by a form. Returns why it is not taken; null: it is. The same command twice is once. */
  async takeWhole({ by, houseId, commandId, item, name, bytes }: WholeFile): Promise<'file-too-large' | 'house-full' | 'storage-full' | 'refused' | null> {
    const { file } = this.room.limits;
    if (bytes.length > file) return 'file-too-large';
    const now = this.clock.now();
    if (this.room.used(houseId, now) + bytes.length > this.room.limits.house) return 'house-full';
    if (!this.folder.hasSpaceFor(bytes.length)) return 'storage-full';
    const payload = { item, name, size: bytes.length };
    const outcome = this.ledger.apply({ id: commandId, houseId, name: 'attachment.add', payload, at: now, seen: this.ledger.seq(houseId) }, by);
    if (outcome.outcome === 'refused') return 'refused';
    const id = v5('0', commandId);
    if (this.attachment(id)?.arrivedAt !== null || !this.room.reserve(id, houseId, bytes.length, now)) return null;
    await writeFile(this.folder.comingPath(id), bytes);
    await this.finish(id);
    return null;
  }

  /** Keeps what has come whole under an upload's id, and says so in its house. Twice at once is once. */
  finish(id: string): Promise<void> {
    const known = this.finishing.get(id);
    if (known) return known;
    const task = this.first.run(() => this.keep(id)).finally(() => this.finishing.delete(id));
    this.finishing.set(id, task);
    return task;
  }

  private async keep(id: string): Promise<void> {
    const attachment = this.attachment(id);
    const came = this.folder.comingPath(id);
    if (!attachment || attachment.arrivedAt !== null || !existsSync(came)) return this.leave(id);
    // what it is, and its small size, while its hash is worked out
    const [sha256, looked] = await Promise.all([hashOf(came), this.look(came)]);
    this.takingIn.add(sha256);
    try {
      const known = this.find(sha256);
      const file = known ?? (await this.takeIn(came, sha256, looked, attachment));
      // from here on nothing is waited for: nobody takes away in between what is being kept
      if (!known) this.statements.keep.run(sha256, file.size, file.mediaType, file.width, file.height, file.isReady, this.clock.now());
      this.announce(attachment, file);
      if (!file.isReady) void this.makeReady(file).catch((error: unknown) => console.error(error));
    } finally {
      this.takingIn.delete(sha256);
    }
    this.leave(id);
  }

  private announce({ id, houseId }: Attachment, { sha256, mediaType, width, height }: KeptFile): void {
    const command = { id: v5('arrive', id), houseId, name: 'attachment.arrive' as const, at: this.clock.now(), seen: 0 };
    this.ledger.apply({ ...command, payload: { attachment: id, sha256, mediaType, width, height } }, null);
  }

  private leave(id: string): void {
    this.folder.dropComing(id);
    this.room.release(id);
  }

  /** What came, by what is in it; of a picture the small size is made beside it. */
  private async look(came: string): Promise<{ mediaType: string; measures: Measures | null }> {
    const mediaType = await mediaTypeOf(came);
    return { mediaType, measures: await makeSmall(came, mediaType, smallBeside(came)) };
  }

  /** Puts what came where it is kept. */
  private async takeIn(
    came: string,
    sha256: string,
    { mediaType, measures }: { mediaType: string; measures: Measures | null },
    attachment: Attachment,
  ): Promise<KeptFile> {
    if (mediaType === SKETCH_TYPE) return this.takeSketchIn(came, sha256, attachment);
    if (measures) renameSync(smallBeside(came), this.folder.keptPath(sha256, 'small'));
    renameSync(came, this.folder.keptPath(sha256, 'whole'));
    const type = mediaType.startsWith('image/') && !measures ? 'application/octet-stream' : mediaType;
    const { width = null, height = null } = measures ?? {};
    return { sha256, size: attachment.size ?? 0, mediaType: type, width, height, isReady: measures ? 0 : 1, at: '' };
  }

  /** A drawing is a picture in every size at once, and its strokes stay. */
  private async takeSketchIn(came: string, sha256: string, attachment: Attachment): Promise<KeptFile> {
    const sketch = (await sketchIn(came))!;
    const [small, middle, large] = PICTURE_SIZES.map((as) => this.folder.keptPath(sha256, as)) as [string, string, string];
    const measures = await drawSketch(sketch, await this.paperOf(sketch.on, attachment), { small, middle, large });
    renameSync(came, this.folder.keptPath(sha256, 'whole'));
    return { sha256, size: attachment.size ?? 0, mediaType: SKETCH_TYPE, ...measures, isReady: 1, at: '' };
  }

  /** What it is drawn on: a picture of the same item, or white. */
  private async paperOf(id: string | null, { houseId, itemId }: Attachment): Promise<string | null> {
    const on = id ? this.attachment(id) : undefined;
    const file = on && on.houseId === houseId && on.itemId === itemId && on.removedAt === null && on.sha256 ? this.find(on.sha256) : undefined;
    return file && file.width !== null ? this.picture(file, 'middle') : null;
  }

  /** Makes the larger sizes of a picture; after that the bytes as they came are gone, and with them where it was taken. */
  private makeReady({ sha256, mediaType }: Pick<KeptFile, 'sha256' | 'mediaType'>): Promise<void> {
    const known = this.making.get(sha256);
    if (known) return known;
    const path = (as: PictureSize | 'whole') => this.folder.keptPath(sha256, as);
    const task = this.rest
      .run(async () => {
        await makeRest(path('whole'), mediaType, { middle: path('middle'), large: path('large') });
        this.statements.ready.run(sha256);
        this.folder.dropWhole(sha256);
      })
      .finally(() => this.making.delete(sha256));
    this.making.set(sha256, task);
    return task;
  }

  /** Where a size of a picture lies, once it is made; null: it can't be made. */
  async picture(file: KeptFile, size: PictureSize): Promise<string | null> {
    if (size !== 'small' && !file.isReady && !this.find(file.sha256)?.isReady) await this.makeReady(file).catch(() => undefined);
    const path = this.folder.keptPath(file.sha256, size);
    return existsSync(path) ? path : null;
  }

  /** Goes on where a server that ended left off, and lets go of what is not needed. */
  async sweep(): Promise<void> {
    const now = this.clock.now();
    for (const { id, size, at } of [...this.room.coming()]) {
      const attachment = this.attachment(id);
      if (!attachment || attachment.removedAt !== null || epochOf(at) < epochOf(now) - COMING_KEPT_DAYS * DAY_MS) this.leave(id);
      else if (this.folder.comingBytes(id) === size) await this.finish(id);
    }
    for (const file of this.statements.unready.all() as KeptFile[]) await this.makeReady(file).catch((error: unknown) => console.error(error));
    this.purge(now);
  }

  /** What nothing has led to for some time. The row goes first: bytes without one are found at the next start. */
  private purge(now: string): void {
    for (const { sha256 } of this.statements.unreferenced.all(keptSince(now)) as { sha256: string }[]) {
      this.statements.drop.run(sha256);
      this.folder.dropKept(sha256);
    }
  }

  /** Bytes nothing is known of: a server ended between two steps. */
  async dropUnknown(): Promise<void> {
    const coming = new Set([...this.room.coming()].map(({ id }) => id));
    for (const id of this.folder.allComing()) if (!coming.has(id)) this.folder.dropComing(id);
    for (const page of this.folder.allKept()) {
      for (const sha256 of page) {
        const file = this.find(sha256);
        if (!file && !this.takingIn.has(sha256)) this.folder.dropKept(sha256);
        // ended before the last step of making it ready
        if (file?.isReady && file.width !== null && file.mediaType !== SKETCH_TYPE) this.folder.dropWhole(sha256);
      }
      await breathe();
    }
  }
}

const smallBeside = (came: string): string => `${came}.small`;

async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const piece of createReadStream(path, { highWaterMark: 512 * 1024 })) hash.update(piece as Buffer);
  return hash.digest('hex');
}
