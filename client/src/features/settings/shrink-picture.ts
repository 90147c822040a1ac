/** The largest file that is opened, in bytes. */
const MOST_BYTES = 30_000_000;
/** It is drawn behind headings and dimmed: so many pixels at its longer side are plenty. */
const LONGEST = 1_280;
/** As a data address, in characters: beside it there has to be room for all else this device keeps. */
const MOST_KEPT = 700_000;

/** A picture as a small JPEG in a data address; null: it can’t be read as one. */
export async function shrinkPicture(file: Blob): Promise<string | null> {
  if (file.size > MOST_BYTES) return null;
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (bitmap === null) return null;
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const drawn = canvas.toDataURL('image/jpeg', 0.7);
  return drawn.startsWith('data:image/jpeg') && drawn.length <= MOST_KEPT ? drawn : null;
}
