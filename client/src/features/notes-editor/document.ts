import type { Token } from 'marked';
import type { Block } from './model.ts';
import { blockOf, type Lexer } from './read.ts';
import { isReadAs, writeBlock } from './write.ts';

/** A block of a text, with the very letters it was read from: its own, and the line ends after it. */
export interface Part {
  block: Block;
  raw: string;
  gap: string;
}

/** A text as blocks; put together again they are the text, letter by letter. */
export function openDocument(text: string, lex: Lexer): Part[] {
  const whole = takenApart(text, lex);
  // a point still to be written loses the space after it
  const body = whole ? text : text.trimEnd();
  const tokens = whole ?? takenApart(body, lex);
  if (!tokens) return text === '' ? [] : [{ block: { kind: 'raw', text }, raw: text, gap: '' }];
  const parts: Part[] = [];
  let before = '';
  for (const token of tokens) {
    const raw = token.raw.trimEnd();
    const gap = token.raw.slice(raw.length);
    const last = parts.at(-1);
    if (raw === '') {
      if (last) last.gap += token.raw;
      else before += token.raw;
      continue;
    }
    const read = blockOf(token);
    // only what would be written as it is read can be changed without loss
    const isSafe = read !== null && isReadAs(writeBlock(read, lex), read, lex);
    parts.push({ block: isSafe ? read : { kind: 'raw', text: raw }, raw, gap });
  }
  const [first] = parts;
  const last = parts.at(-1);
  if (!first || !last) return text === '' ? [] : [{ block: { kind: 'paragraph', words: [] }, raw: '', gap: text }];
  last.gap += text.slice(body.length);
  return before === '' ? parts : [{ ...first, raw: before + first.raw }, ...parts.slice(1)];
}

/** Null: something of it would be lost, so it is not taken apart. */
function takenApart(text: string, lex: Lexer): Token[] | null {
  const tokens = text.includes('\r') ? null : lex(text);
  return tokens?.map(({ raw }) => raw).join('') === text ? tokens : null;
}

/** What stands in the editor: a block, and the part it was read from; null: it is new. */
export interface Edited {
  block: Block;
  origin: Part | null;
  isChanged: boolean;
}

/** The text again. Parts nobody touched are written back letter by letter, and what stood between two that are still beside each other. */
export function saveDocument(edited: readonly Edited[], lex: Lexer): string {
  let text = '';
  let before: Edited | null = null;
  for (const one of edited) {
    const own = one.origin && !one.isChanged ? one.origin.raw : writeBlock(one.block, lex).trimEnd();
    if (own === '' && one.block.kind !== 'raw' && one.isChanged) continue;
    // else a blank line, which ends whatever comes before
    if (before) text += (one.origin && gapAfter(before)) || '\n\n';
    text += own;
    before = one;
  }
  return text + (before ? gapAfter(before) : '');
}

/** What stood after it, as long as it is of its kind: then it still ends what it ended. */
const gapAfter = ({ block, origin, isChanged }: Edited): string => {
  if (!origin || origin.block.kind !== block.kind) return '';
  return isChanged ? origin.gap.replace(/^[ \t]+/, '') : origin.gap;
};
