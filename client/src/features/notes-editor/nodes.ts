import { $createLinkNode, $isLinkNode } from '@lexical/link';
import { $createListItemNode, $createListNode, $isListItemNode, $isListNode, type ListNode } from '@lexical/list';
import { $createHeadingNode, $createQuoteNode, $isHeadingNode, $isQuoteNode, type HeadingTagType } from '@lexical/rich-text';
import {
  $createLineBreakNode,
  $createParagraphNode,
  $createTextNode,
  $isElementNode,
  $isLineBreakNode,
  $isTextNode,
  ElementNode,
  type LexicalNode,
  type SerializedElementNode,
  type TextNode,
} from 'lexical';
import { joined, type Block, type Inline, type List, type ListItem, type Words } from './model.ts';

/** Markdown the editor has no look for: its letters, as they are. */
export class RawNode extends ElementNode {
  static override getType(): string {
    return 'raw';
  }
  static override clone(node: RawNode): RawNode {
    return new RawNode(node.__key);
  }
  static override importJSON(): RawNode {
    return new RawNode();
  }
  override exportJSON(): SerializedElementNode {
    return { ...super.exportJSON(), type: 'raw', version: 1 };
  }
  override createDOM(): HTMLElement {
    const element = document.createElement('div');
    element.className = 'notes-raw';
    return element;
  }
  override updateDOM(): boolean {
    return false;
  }
  override canIndent(): false {
    return false;
  }
}

/** A block as the editor draws it. */
export function nodeOf(block: Block): ElementNode {
  switch (block.kind) {
    case 'heading':
      return $createHeadingNode(`h${block.depth}` as HeadingTagType).append(...inlineNodes(block.words));
    case 'paragraph':
      return $createParagraphNode().append(...inlineNodes(block.words));
    case 'quote':
      return $createQuoteNode().append(...inlineNodes(block.words));
    case 'list':
      return listNode(block);
    case 'raw':
      return new RawNode().append(
        ...block.text.split('\n').flatMap((line, nth) => [...(nth > 0 ? [$createLineBreakNode()] : []), ...(line ? [$createTextNode(line)] : [])]),
      );
  }
}

function listNode({ ordered, start, items }: List): ListNode {
  const isBoxes = items.some(({ checked }) => checked !== null);
  const list = $createListNode(isBoxes ? 'check' : ordered ? 'number' : 'bullet', start);
  for (const { words, checked, list: below } of items) {
    list.append($createListItemNode(isBoxes ? checked === true : undefined).append(...inlineNodes(words)));
    // what lies further in stands in an item of its own
    if (below) list.append($createListItemNode().append(listNode(below)));
  }
  return list;
}

const inlineNodes = (words: readonly Inline[]): LexicalNode[] =>
  words.map((one) => {
    if (one === 'break') return $createLineBreakNode();
    const text = $createTextNode(one.text);
    for (const [look, format] of LOOKS) if (one[look]) text.toggleFormat(format);
    return one.href === undefined ? text : $createLinkNode(one.href).append(text);
  });

const LOOKS = [
  ['bold', 'bold'],
  ['italic', 'italic'],
  ['strike', 'strikethrough'],
  ['code', 'code'],
] as const;

/** What stands at the top of the editor as a block. */
export function blockFrom(node: LexicalNode): Block {
  if ($isListNode(node)) return listFrom(node);
  if ($isHeadingNode(node)) return { kind: 'heading', depth: Number(node.getTag()[1]), words: wordsIn(node) };
  if ($isQuoteNode(node)) return { kind: 'quote', words: wordsIn(node) };
  if (node instanceof RawNode) return { kind: 'raw', text: node.getTextContent() };
  return { kind: 'paragraph', words: $isElementNode(node) ? wordsIn(node) : [] };
}

function listFrom(node: ListNode): List {
  const kind = node.getListType();
  const items: ListItem[] = [];
  for (const child of node.getChildren()) {
    if (!$isListItemNode(child)) continue;
    const below = child.getChildren().find($isListNode);
    const words = wordsIn(child);
    const last = items.at(-1);
    if (below && words.length === 0 && last && !last.list) last.list = listFrom(below);
    else items.push({ words, checked: kind === 'check' ? child.getChecked() === true : null, list: below ? listFrom(below) : null });
  }
  return { kind: 'list', ordered: kind === 'number', start: kind === 'number' ? node.getStart() : 1, loose: false, items };
}

function wordsIn(node: ElementNode): Inline[] {
  const words = node.getChildren().flatMap((child): Inline[] => {
    if ($isLineBreakNode(child)) return ['break'];
    if ($isTextNode(child)) return [wordsOf(child)];
    if ($isLinkNode(child)) return wordsIn(child).map((one) => (one === 'break' ? one : { ...one, href: child.getURL() }));
    return [];
  });
  return withoutEdges(joined(words));
}

function wordsOf(text: TextNode): Words {
  const words: Words = { text: text.getTextContent() };
  for (const [look, format] of LOOKS) if (text.hasFormat(format)) words[look] = true;
  return words;
}

/** Spaces at the ends of a line say nothing, and Markdown would read them as something else. */
function withoutEdges(words: readonly Inline[]): Inline[] {
  const trimmed = words.map((one, nth) => {
    if (one === 'break') return one;
    const [isFirst, isLast] = [nth === 0 || words[nth - 1] === 'break', nth === words.length - 1 || words[nth + 1] === 'break'];
    return { ...one, text: isFirst && isLast ? one.text.trim() : isFirst ? one.text.trimStart() : isLast ? one.text.trimEnd() : one.text };
  });
  while (trimmed.at(-1) === 'break') trimmed.pop();
  while (trimmed[0] === 'break') trimmed.shift();
  return joined(trimmed);
}
