/** Notes as an editor holds them: blocks of Markdown it can show formatted, and what it leaves as it was typed. */

export interface Words {
  text: string;
  bold?: true;
  italic?: true;
  strike?: true;
  code?: true;
  /** The address it leads to. */
  href?: string;
}
export type Inline = Words | 'break';

export interface ListItem {
  words: Inline[];
  /** Whether its box is ticked; null: it has none. */
  checked: boolean | null;
  list: List | null;
}
export interface List {
  kind: 'list';
  ordered: boolean;
  start: number;
  /** With a blank line between its items. */
  loose: boolean;
  items: ListItem[];
}
export type Block =
  | { kind: 'heading'; depth: number; words: Inline[] }
  | { kind: 'paragraph'; words: Inline[] }
  | { kind: 'quote'; words: Inline[] }
  | List
  /** Kept as it was typed. */
  | { kind: 'raw'; text: string };

/** Words of one look that stand beside each other are one. */
export function joined(words: readonly Inline[]): Inline[] {
  const result: Inline[] = [];
  for (const one of words) {
    const last = result.at(-1);
    if (one === 'break' || last === undefined || last === 'break' || !isAlike(one, last)) result.push(one);
    else result[result.length - 1] = { ...last, text: last.text + one.text };
  }
  return result.filter((one) => one === 'break' || one.text !== '');
}

const isAlike = (a: Words, b: Words): boolean => a.bold === b.bold && a.italic === b.italic && a.strike === b.strike && a.code === b.code && a.href === b.href;
