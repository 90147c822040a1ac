import { joined, type Block, type Inline, type List, type Words } from './model.ts';
import { blockOf, type Lexer } from './read.ts';

/** A block as Markdown. What was typed stays as plain as it can: signs are escaped only where they would be read as such. */
export function writeBlock(block: Block, lex: Lexer): string {
  if (block.kind === 'raw') return block.text;
  for (const escapes of [false, true]) {
    const text = write(block, escapes);
    if (isReadAs(text, block, lex)) return text;
  }
  // a look that Markdown can't say, such as half a word in bold beside a sign: the words are what counts
  return write(withoutLooks(block), true);
}

/** Read again it is the same. */
export function isReadAs(text: string, block: Block, lex: Lexer): boolean {
  const tokens = lex(text)?.filter(({ type }) => type !== 'space');
  const read = tokens?.length === 1 ? blockOf(tokens[0]!) : null;
  return read !== null && JSON.stringify(read) === JSON.stringify(block);
}

function write(block: Exclude<Block, { kind: 'raw' }>, escapes: boolean): string {
  switch (block.kind) {
    case 'heading':
      return `${'#'.repeat(block.depth)} ${writeWords(block.words, escapes, ' ')}`;
    case 'paragraph':
      return writeWords(block.words, escapes, '\n');
    case 'quote':
      return writeWords(block.words, escapes, '\n')
        .split('\n')
        .map((line) => `> ${line}`)
        .join('\n');
    case 'list':
      return writeList(block, escapes);
  }
}

function writeList({ ordered, start, loose, items }: List, escapes: boolean): string {
  const written = items.map(({ words, checked, list }, nth) => {
    const sign = ordered ? `${start + nth}. ` : '- ';
    const box = checked === null ? '' : checked ? '[x] ' : '[ ] ';
    const space = ' '.repeat(sign.length);
    const below = list ? writeList(list, escapes).split('\n') : [];
    const lines = [...writeWords(words, escapes, '\n').split('\n'), ...below];
    return sign + box + lines.map((line, at) => (at === 0 || line === '' ? line : space + line)).join('\n');
  });
  return written.join(loose ? '\n\n' : '\n');
}

function writeWords(words: readonly Inline[], escapes: boolean, lineEnd: string): string {
  let text = '';
  for (const [nth, one] of words.entries()) {
    if (one === 'break') text += lineEnd;
    else text += marked(one, escapes ? escaped(one.text, nth === 0 || words[nth - 1] === 'break') : one.text);
  }
  return text;
}

/** Signs stand at the words, not at the spaces around them. */
function marked({ text: plain, bold, italic, strike, code, href }: Words, text: string): string {
  if (code) return linked(href, `${'`'.repeat(fence(plain))}${plain}${'`'.repeat(fence(plain))}`);
  const inner = text.trim();
  if (inner === '') return text;
  const at = text.indexOf(inner);
  let said = inner;
  if (strike) said = `~~${said}~~`;
  if (italic) said = `*${said}*`;
  if (bold) said = `**${said}**`;
  return text.slice(0, at) + linked(href, said) + text.slice(at + inner.length);
}

const fence = (text: string): number => Math.max(0, ...[...text.matchAll(/`+/g)].map(([run]) => run.length)) + 1;
const linked = (href: string | undefined, text: string): string => (href === undefined || href === text ? text : `[${text}](${href.replaceAll(' ', '%20').replaceAll(')', '%29')})`); // prettier-ignore

function escaped(text: string, isFirst: boolean): string {
  const inner = text.replace(/[\\`*_~[\]<>|&]/g, '\\$&').replace(/(^|\s)(#+\s*)$/, '$1\\$2');
  return isFirst ? inner.replace(/^(\s*)([#+-])/, '$1\\$2').replace(/^(\s*\d{1,9})([.)])/, '$1\\$2') : inner;
}

function withoutLooks(block: Exclude<Block, { kind: 'raw' }>): Exclude<Block, { kind: 'raw' }> {
  if (block.kind !== 'list') return { ...block, words: plain(block.words) };
  const items = block.items.map((item) => ({ ...item, words: plain(item.words), list: item.list ? (withoutLooks(item.list) as List) : null }));
  return { ...block, items };
}

const plain = (words: readonly Inline[]): Inline[] => joined(words.map((one) => (one === 'break' ? one : { text: one.text })));
