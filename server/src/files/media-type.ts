import { MOST_SKETCH_LETTERS, SKETCH_TYPE, type Sketch } from '@kotiva/core/model/sketch';
import { Sketch as Schema } from '@kotiva/core/model/sketch-schema';
import { fileTypeFromFile } from 'file-type/node';
import { open, readFile, stat } from 'node:fs/promises';

const UNKNOWN = 'application/octet-stream';
/** So much of a file is looked at for whether it is text. */
const LOOKED_AT = 64 * 1024;

/** Pictures that are shown, by what they are. Whatever can carry a script is not among them. */
export const PICTURE_TYPES: readonly string[] = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/avif', 'image/tiff'];

/** Whether a browser may show it; everything else is downloaded. */
export const isShown = (mediaType: string): boolean =>
  PICTURE_TYPES.includes(mediaType) || mediaType === 'application/pdf' || mediaType === 'text/plain' || /^(audio|video)\/[\w.+-]+$/.test(mediaType);

/** The media type (RFC 6838) of a file by what is in it, never by what it is called. Text that may be markup is not text. */
export async function mediaTypeOf(path: string): Promise<string> {
  const found = await fileTypeFromFile(path);
  if (found) return found.mime;
  if (await sketchIn(path)) return SKETCH_TYPE;
  return (await isPlainText(path)) ? 'text/plain' : UNKNOWN;
}

/** The drawing a file holds; null: it holds none. */
export async function sketchIn(path: string): Promise<Sketch | null> {
  if ((await stat(path)).size > MOST_SKETCH_LETTERS) return null;
  try {
    const parsed = Schema.safeParse(JSON.parse(await readFile(path, 'utf8')));
    return parsed.success ? parsed.data : null;
  } catch {
    return null;
  }
}

async function isPlainText(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(LOOKED_AT), 0, LOOKED_AT, 0);
    // a letter may be cut at the end of what is looked at
    const text = new TextDecoder('utf-8', { fatal: true }).decode(buffer.subarray(0, bytesRead), { stream: true });
    return !text.includes('\0') && !text.trimStart().startsWith('<');
  } catch {
    return false;
  } finally {
    await file.close();
  }
}
