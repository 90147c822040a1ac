import { isPicture, type Attachment } from '@kotiva/core';
import { SKETCH_TYPE } from '@kotiva/core/model/sketch';
import { create as contentDisposition } from 'content-disposition';
import { Hono, type Context } from 'hono';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { Readable } from 'node:stream';
import parseRange from 'range-parser';
import type { Env, Services } from '../context.ts';
import { PICTURE_SIZES, type PictureSize } from '../files/file-folder.ts';
import type { KeptFiles } from '../files/kept-files.ts';
import { isShown } from '../files/media-type.ts';
import { typeOfSize } from '../files/pictures.ts';
import { admitUpload, uploadServer, UPLOADS } from '../files/uploads.ts';
import { Problem } from '../problem.ts';
import { Visibility } from '../sync/visibility.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

/** Nothing in a file may do anything here. A browser's own reader of PDF does not work in a sandbox, and runs nothing. */
export const policyOf = (mediaType: string): string =>
  `default-src 'none'; style-src 'unsafe-inline'; media-src 'self'; frame-ancestors 'none'${mediaType === 'application/pdf' ? '' : '; sandbox'}`;

/** How much room files have in a house, and how much of it is used; bytes. */
export function fileRoomRoutes(services: Services): Hono<Env> {
  const app = new Hono<Env>();
  app.get('/houses/:house/files', signedIn(services), (c) => {
    const { houseId } = memberOf(c, services);
    const { room } = filesOf(services);
    return c.json({ used: room.used(houseId, services.clock.now()), ...room.limits });
  });
  return app;
}

/** Files in and out. They are beside `/api`: what comes in is larger, and what goes out is nobody's to run. */
export function fileRoutes(services: Services): Hono<Env> {
  const app = new Hono<Env>();
  // its store looks after its folder while it is made: not before somebody sends something
  let tus: ReturnType<typeof uploadServer> | null = null;

  for (const path of [UPLOADS, `${UPLOADS}/*`])
    app.all(path, signedIn(services), async (c) => {
      await admitUpload(c, services, filesOf(services));
      tus ??= uploadServer(filesOf(services));
      return tus.handleWeb(c.req.raw);
    });

  app.get('/files/:house/:attachment/:as', signedIn(services), async (c) => {
    const attachment = readable(c, services);
    const as = c.req.param('as');
    if (as === 'strokes') return strokesOf(c, attachment, filesOf(services));
    if (as !== 'file' && !isSize(as)) throw noFile();
    return isSize(as) ? pictureOf(c, attachment, as, filesOf(services)) : wholeOf(c, attachment, filesOf(services));
  });
  return app;
}

const noFile = () => new Problem(404, 'no-such-file', 'There is no such file, or you can’t see it.');
export const isSize = (as: string): as is PictureSize => (PICTURE_SIZES as readonly string[]).includes(as);

function filesOf({ files }: Services): KeptFiles {
  if (!files) throw new Problem(503, 'no-files', 'This server keeps no files.');
  return files;
}

/** An attachment its reader sees, that has come and was not taken away. */
function readable(c: Context<Env>, services: Services): Attachment {
  const person = memberOf(c, services);
  const rows = services.ledger.rows(person.houseId);
  const attachment = rows.find('attachment', c.req.param('attachment') ?? '');
  if (attachment === undefined || attachment.removedAt !== null || !new Visibility(rows, person).sees('attachment', attachment)) throw noFile();
  return attachment;
}

export async function pictureOf(c: Context, attachment: Attachment, size: PictureSize, files: KeptFiles): Promise<Response> {
  const file = attachment.sha256 !== null && isPicture(attachment) ? files.find(attachment.sha256) : undefined;
  const path = file ? await files.picture(file, size) : null;
  if (!file || path === null) throw noFile();
  return given(c, path, { tag: `${file.sha256}-${size}`, mediaType: typeOfSize(file.mediaType, size), name: attachment.name });
}

/** The file itself; of a picture its large size, which says nothing of where it was taken. */
export async function wholeOf(c: Context, attachment: Attachment, files: KeptFiles): Promise<Response> {
  if (isPicture(attachment)) return pictureOf(c, attachment, 'large', files);
  const file = attachment.sha256 === null ? undefined : files.find(attachment.sha256);
  if (!file) throw noFile();
  return given(c, files.folder.keptPath(file.sha256, 'whole'), { tag: file.sha256, mediaType: file.mediaType, name: attachment.name });
}

/** A drawing as it was drawn, so that it can be drawn on. */
async function strokesOf(c: Context<Env>, { sha256, mediaType, name }: Attachment, files: KeptFiles): Promise<Response> {
  if (sha256 === null || mediaType !== SKETCH_TYPE) throw noFile();
  return given(c, files.folder.keptPath(sha256, 'whole'), { tag: `${sha256}-strokes`, mediaType: SKETCH_TYPE, name });
}

interface Given {
  tag: string;
  mediaType: string;
  name: string;
}

/** Asked again whether it may still be seen, each time: a device's copy is shown only to whoever may. */
async function given(c: Context, path: string, { tag, mediaType, name }: Given): Promise<Response> {
  const etag = `"${tag}"`;
  const shown = isShown(mediaType);
  c.header('Content-Security-Policy', policyOf(mediaType));
  c.header('Cross-Origin-Resource-Policy', 'same-origin');
  c.header('Cache-Control', 'private, no-cache');
  c.header('ETag', etag);
  if (c.req.header('if-none-match') === etag) return c.body(null, 304);
  const found = await stat(path).catch(() => null);
  if (!found) throw noFile();
  const { size } = found;
  const isInline = shown && c.req.query('download') === undefined;
  c.header('Content-Type', shown ? (mediaType === 'text/plain' ? 'text/plain; charset=utf-8' : mediaType) : 'application/octet-stream');
  c.header('Content-Disposition', contentDisposition(name, { type: isInline ? 'inline' : 'attachment' }));
  c.header('Accept-Ranges', 'bytes');
  const part = partOf(c, size);
  if (part === 'none') {
    c.header('Content-Range', `bytes */${size}`);
    return c.body(null, 416);
  }
  if (part) c.header('Content-Range', `bytes ${part.start}-${part.end}/${size}`);
  c.header('Content-Length', String(part ? part.end - part.start + 1 : size));
  return c.body(Readable.toWeb(createReadStream(path, part ?? {})) as ReadableStream, part ? 206 : 200);
}

/** Of a recording a player asks for pieces (RFC 9110 14.2); several at once are answered with all of it. */
function partOf(c: Context, size: number): { start: number; end: number } | 'none' | null {
  const asked = c.req.header('range');
  if (!asked) return null;
  const ranges = parseRange(size, asked);
  if (ranges === -1) return 'none';
  return ranges === -2 || ranges.type !== 'bytes' || ranges.length !== 1 ? null : ranges[0]!;
}
