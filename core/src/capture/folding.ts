/** Longer than this, its blanks folded, a line is no line any more: nothing is recognised in it. */
export const MOST_READ = 1_000;

/** A typed line as it is read: runs of blanks are one, so that no pattern goes through them again and again. */
export interface Folded {
  text: string;
  /** The offset into the line as typed, of one into `text`. */
  typedAt(offset: number): number;
}

/** Null: there is too much to read. */
export function foldBlanks(typed: string): Folded | null {
  let text = '';
  const offsets: number[] = [];
  for (const { 0: piece, index } of typed.matchAll(/[\s\0]+|[^\s\0]+/gu)) {
    const isBlank = /^[\s\0]/.test(piece);
    if (text.length + (isBlank ? 1 : piece.length) > MOST_READ) return null;
    text += isBlank ? ' ' : piece;
    for (let at = 0; at < (isBlank ? 1 : piece.length); at++) offsets.push(index + at);
  }
  return { text, typedAt: (offset) => offsets[offset] ?? typed.length };
}

/** Without what stands at either end and is none of it; each character is looked at once. */
export function trimmedOf(text: string, isEdge: (character: string) => boolean): string {
  let [from, to] = [0, text.length];
  while (from < to && isEdge(text[from]!)) from += 1;
  while (to > from && isEdge(text[to - 1]!)) to -= 1;
  return text.slice(from, to);
}
