import { sketchSvg, type Sketch } from '@kotiva/core/model/sketch';
import { rename, rm } from 'node:fs/promises';
import sharp from 'sharp';
import { PICTURE_TYPES } from './media-type.ts';

/** Pixels of the longer side. */
const SMALL = 320;
const MIDDLE = 1280;
/** More pixels are not unpacked: a small file can say it holds any number. */
const MOST_PIXELS = 100_000_000;
/** A picture that takes longer is none. */
const MOST_SECONDS = 30;

// one at a time, and nothing of it stays in memory
sharp.cache(false);
sharp.concurrency(1);

export interface Measures {
  /** Upright, in pixels. */
  width: number;
  height: number;
}

const opened = (path: string, animated = false) =>
  sharp(path, { limitInputPixels: MOST_PIXELS, animated, failOn: 'none' }).autoOrient().timeout({ seconds: MOST_SECONDS });

/** Writes the small size of a picture and says how large it is; null: it is none, or too large to be unpacked. */
export async function makeSmall(path: string, mediaType: string, small: string): Promise<Measures | null> {
  if (!PICTURE_TYPES.includes(mediaType)) return null;
  try {
    const { autoOrient } = await sharp(path).metadata();
    if (autoOrient.width * autoOrient.height > MOST_PIXELS) return null;
    await whole(small, (to) => opened(path).resize(SMALL, SMALL, INSIDE).webp({ quality: 72 }).toFile(to));
    return { width: autoOrient.width, height: autoOrient.height };
  } catch {
    return null;
  }
}

/** Writes the middle and the large size: upright, in sRGB, and nothing beside the picture itself. */
export async function makeRest(path: string, mediaType: string, { middle, large }: { middle: string; large: string }): Promise<void> {
  await whole(middle, (to) => opened(path).resize(MIDDLE, MIDDLE, INSIDE).webp({ quality: 78 }).toFile(to));
  await whole(large, (to) => largeOf(path, mediaType).toFile(to));
}

/** Draws strokes on white, or on a picture, and writes every size of it. */
export async function drawSketch(sketch: Sketch, on: string | null, to: { small: string; middle: string; large: string }): Promise<Measures> {
  const { width, height } = sketch;
  const paper = sharp({ create: { width, height, channels: 3, background: 'white' } });
  const below = on ? [{ input: await opened(on).resize(width, height, { fit: 'fill' }).toBuffer() }] : [];
  const drawn = await paper
    .composite([...below, { input: Buffer.from(sketchSvg(sketch)) }])
    .png()
    .toBuffer();
  for (const [path, side] of [
    [to.small, SMALL],
    [to.middle, MIDDLE],
    [to.large, Math.max(width, height)],
  ] as const)
    // prettier-ignore
    await whole(path, (part) => sharp(drawn).resize(side, side, INSIDE).webp({ quality: 82 }).toFile(part));
  return { width, height };
}

const INSIDE = { fit: 'inside', withoutEnlargement: true } as const;

/** The media type a picture is given out as. */
export function typeOfSize(mediaType: string, size: 'small' | 'middle' | 'large'): string {
  return size === 'large' && ['image/jpeg', 'image/png', 'image/gif'].includes(mediaType) ? mediaType : 'image/webp';
}

function largeOf(path: string, mediaType: string) {
  if (mediaType === 'image/jpeg') return opened(path).jpeg({ quality: 90 });
  if (mediaType === 'image/png') return opened(path).png();
  return mediaType === 'image/gif' ? opened(path, true).gif() : opened(path).webp({ quality: 90 });
}

/** Under its name only once it is whole. */
async function whole(path: string, write: (to: string) => Promise<unknown>): Promise<void> {
  const part = `${path}.part`;
  try {
    await write(part);
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}
