import { lexer, type Token } from 'marked';

/** Longer texts, and longer paragraphs, are shown as they were typed: taking them apart could take as long as it wants. */
const MOST_READ = 20_000;
const MOST_PARAGRAPH = 4_000;

/** A text taken apart as Markdown: CommonMark, with the tables, boxes, struck out words and line ends of GFM. Null: it is shown as it is. */
export function readMarkdown(text: string): Token[] | null {
  if (text.length > MOST_READ || text.split(/\n\s*\n/).some((paragraph) => paragraph.length > MOST_PARAGRAPH)) return null;
  try {
    return lexer(text, { gfm: true, breaks: true });
  } catch {
    // nested deeper than anybody means
    return null;
  }
}

const OPENED = new Set(['http:', 'https:', 'mailto:', 'tel:']);

/** An address that may be opened from notes; null: it is words. */
export function addressToOpen(href: string): string | null {
  try {
    return OPENED.has(new URL(href).protocol) ? href : null;
  } catch {
    return null;
  }
}
