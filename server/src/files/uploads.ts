import { FileStore } from '@tus/file-store';
import { Metadata, Server } from '@tus/server';
import { isHere, type Attachment } from '@kotiva/core';
import type { Context } from 'hono';
import type { Env, Services } from '../context.ts';
import { Problem } from '../problem.ts';
import { Visibility } from '../sync/visibility.ts';
import type { KeptFiles } from './kept-files.ts';

export const UPLOADS = '/files/coming';

/** The tus protocol (1.0.0): an upload goes by the id of its attachment, so that there is one however often it is begun. */
export function uploadServer(files: KeptFiles): Server {
  return new Server({
    path: UPLOADS,
    datastore: new FileStore({ directory: files.folder.coming }),
    maxSize: files.room.limits.file,
    relativeLocation: true,
    namingFunction: (_request, metadata) => metadata?.['attachment'] ?? '',
    async onUploadFinish(_request, upload) {
      await files.finish(upload.id);
      return {};
    },
  });
}

/** Who asks may send that file now: it was announced by them, is wanted still, and there is room for it. */
export async function admitUpload(c: Context<Env>, services: Services, files: KeptFiles): Promise<void> {
  const creates = c.req.method === 'POST';
  const id = creates ? announcedIn(c.req.header('upload-metadata')) : c.req.path.slice(UPLOADS.length + 1);
  const attachment = files.attachment(id);
  if (!attachment || !isTheirs(attachment, c, services)) throw new Problem(404, 'no-such-file', 'There is no such file to send.');
  // whoever cancels lets go of what has come
  if (c.req.method === 'DELETE') return files.room.release(id);
  if (attachment.arrivedAt !== null) throw new Problem(410, 'arrived', 'This file is here already.');
  if (attachment.removedAt !== null) throw new Problem(410, 'gone', 'This file was taken away.');
  if (creates) return admitSize(c, attachment, files, services.clock.now());
  const come = files.folder.comingBytes(id);
  // ended while it was put in its place: what the store still knows of it would say that it is gone for good
  if (come === null) {
    files.folder.dropComing(id);
    throw new Problem(404, 'not-begun', 'Nothing of this file has come yet.');
  }
  if (c.req.method === 'PATCH') refuseWithoutSpace(files, (attachment.size ?? 0) - come);
  // a server that ended had all of it, and had not said so
  if (c.req.method === 'HEAD' && come === attachment.size) {
    await files.finish(id);
    throw new Problem(410, 'arrived', 'This file is here already.');
  }
}

function isTheirs(attachment: Attachment, c: Context<Env>, { ledger }: Services): boolean {
  const rows = ledger.rows(attachment.houseId);
  const person = rows.find('person', attachment.authorId);
  if (!person || !isHere(person) || person.accountId !== c.get('signedIn').account.id) return false;
  return new Visibility(rows, person).sees('attachment', attachment);
}

/** A disk that is full is said before anything is sent: what has come half would keep everything else from being saved. */
function refuseWithoutSpace({ folder }: KeptFiles, bytes: number): void {
  if (!folder.hasSpaceFor(bytes)) throw new Problem(507, 'storage-full', 'The server has no space left for this file right now.');
}

function admitSize(c: Context<Env>, { id, houseId, size }: Attachment, files: KeptFiles, now: string): void {
  const { room, folder } = files;
  const length = Number(c.req.header('upload-length'));
  if (length !== size) throw new Problem(400, 'malformed', 'The length of the file is not the one that was announced.', { field: 'Upload-Length' });
  const { file, house } = room.limits;
  if (size > file) throw new Problem(413, 'file-too-large', 'This file is larger than files may be here.', { params: { size, max: file } });
  refuseWithoutSpace(files, length);
  if (!room.reserve(id, houseId, size, now))
    throw new Problem(413, 'house-full', 'There is no room left for this file in this house.', { params: { size, max: house - room.used(houseId, now, id) } });
  // begun anew: what came before may be of another device's
  folder.dropComing(id);
}

function announcedIn(header: string | undefined): string {
  try {
    return Metadata.parse(header)['attachment'] ?? '';
  } catch {
    throw new Problem(400, 'malformed', 'Upload-Metadata can’t be read.', { field: 'Upload-Metadata' });
  }
}
