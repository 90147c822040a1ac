import type { Token, Tokens } from 'marked';
import { joined, type Block, type Inline, type List, type ListItem, type Words } from './model.ts';

/** Takes Markdown apart; null where it is too long or nested too deep. Given in, so that who edits and who reads share one. */
export type Lexer = (text: string) => Token[] | null;

/** What a token is to the editor; null: it can't be shown formatted without losing something of it. */
export function blockOf(token: Token): Block | null {
  switch (token.type) {
    case 'heading': {
      const words = inlineOf((token as Tokens.Heading).tokens);
      return words && { kind: 'heading', depth: (token as Tokens.Heading).depth, words };
    }
    case 'paragraph': {
      const words = inlineOf((token as Tokens.Paragraph).tokens);
      return words && { kind: 'paragraph', words };
    }
    case 'blockquote':
      return quoteOf(token as Tokens.Blockquote);
    case 'list':
      return listOf(token as Tokens.List);
    default:
      return null;
  }
}

/** One paragraph; more of them are kept as they are. */
function quoteOf({ tokens }: Tokens.Blockquote): Block | null {
  const [only, ...others] = tokens.filter(({ type }) => type !== 'space');
  if (only?.type !== 'paragraph' || others.length > 0) return null;
  const words = inlineOf((only as Tokens.Paragraph).tokens);
  return words && { kind: 'quote', words };
}

function listOf({ ordered, start, loose, items }: Tokens.List): List | null {
  const read: ListItem[] = [];
  for (const item of items) {
    const one = itemOf(item);
    if (!one) return null;
    read.push(one);
  }
  // a box beside a dot is more than one list can say
  if (new Set(read.map(({ checked }) => checked !== null)).size > 1) return null;
  return { kind: 'list', ordered, start: typeof start === 'number' ? start : 1, loose, items: read };
}

function itemOf({ task, checked, tokens }: Tokens.ListItem): ListItem | null {
  const parts = tokens.filter(({ type }) => type !== 'space' && type !== 'checkbox');
  const [text, below, ...others] = parts;
  if (others.length > 0 || (text && text.type !== 'text' && text.type !== 'paragraph')) return null;
  if (below && below.type !== 'list') return null;
  const said = text as Tokens.Text | undefined;
  const inner = said?.tokens?.filter(({ type }) => type !== 'checkbox');
  const words = said ? inlineOf(inner ?? [said]) : [];
  const list = below ? listOf(below as Tokens.List) : null;
  return words && (list !== null || !below) ? { words, checked: task ? checked === true : null, list } : null;
}

/** Null: something in it has no look of its own here, such as a picture or HTML. */
function inlineOf(tokens: readonly Token[], look: Omit<Words, 'text'> = {}): Inline[] | null {
  const words: Inline[] = [];
  for (const token of tokens) {
    const some = piecesOf(token, look);
    if (!some) return null;
    words.push(...some);
  }
  return joined(words);
}

function piecesOf(token: Token, look: Omit<Words, 'text'>): Inline[] | null {
  switch (token.type) {
    case 'text': {
      const { tokens, text } = token as Tokens.Text;
      return tokens ? inlineOf(tokens, look) : linesOf(text, look);
    }
    case 'escape':
      return [{ text: (token as Tokens.Escape).text, ...look }];
    case 'br':
      return ['break'];
    case 'strong':
      return inlineOf((token as Tokens.Strong).tokens, { ...look, bold: true });
    case 'em':
      return inlineOf((token as Tokens.Em).tokens, { ...look, italic: true });
    case 'del':
      return inlineOf((token as Tokens.Del).tokens, { ...look, strike: true });
    case 'codespan':
      return [{ text: (token as Tokens.Codespan).text, ...look, code: true }];
    case 'link': {
      const { href, title, tokens } = token as Tokens.Link;
      return title || look.href !== undefined ? null : inlineOf(tokens, { ...look, href });
    }
    default:
      return null;
  }
}

const linesOf = (text: string, look: Omit<Words, 'text'>): Inline[] =>
  text.split('\n').flatMap((line, nth): Inline[] => [...(nth > 0 ? ['break' as const] : []), { text: line, ...look }]);
