import { TEXT_MAX } from '@kotiva/core';
import { createEmptyHistoryState, registerHistory } from '@lexical/history';
import { $createLinkNode, $isLinkNode, LinkNode, $toggleLink } from '@lexical/link';
import {
  $isListItemNode,
  $isListNode,
  INSERT_CHECK_LIST_COMMAND,
  INSERT_ORDERED_LIST_COMMAND,
  INSERT_UNORDERED_LIST_COMMAND,
  ListItemNode,
  ListNode,
  registerCheckList,
  registerList,
  REMOVE_LIST_COMMAND,
} from '@lexical/list';
import { $createHeadingNode, $createQuoteNode, $isHeadingNode, $isQuoteNode, HeadingNode, QuoteNode, registerRichText } from '@lexical/rich-text';
import { $setBlocksType } from '@lexical/selection';
import {
  $createParagraphNode,
  $createTextNode,
  $getRoot,
  $getSelection,
  $isRangeSelection,
  COMMAND_PRIORITY_HIGH,
  createEditor,
  FORMAT_TEXT_COMMAND,
  INDENT_CONTENT_COMMAND,
  KEY_ENTER_COMMAND,
  OUTDENT_CONTENT_COMMAND,
  PASTE_COMMAND,
  $isParagraphNode,
  type ElementNode,
  type ParagraphNode,
  type RangeSelection,
  type LexicalEditor,
  type LexicalNode,
} from 'lexical';
import { openDocument, saveDocument, type Edited, type Part } from './document.ts';
import { blockFrom, nodeOf, RawNode } from './nodes.ts';
import type { Lexer } from './read.ts';

/** What the words at the cursor look like. */
export interface Look {
  bold: boolean;
  italic: boolean;
  strike: boolean;
  block: 'paragraph' | 'heading' | 'quote' | 'bullet' | 'number' | 'check';
  href: string | null;
}
export const PLAIN: Look = { bold: false, italic: false, strike: false, block: 'paragraph', href: null };

/** A text in an editor, which gives it back as it was but for what was changed in it. */
export class NotesEngine {
  readonly editor: LexicalEditor;
  private readonly origins = new Map<string, { part: Part; signature: string }>();

  constructor(
    text: string,
    private readonly lex: Lexer,
  ) {
    this.editor = createEditor({
      namespace: 'notes',
      nodes: [HeadingNode, QuoteNode, ListNode, ListItemNode, LinkNode, RawNode],
      theme: THEME,
      onError: (error) => {
        throw error;
      },
    });
    // whoever wants to write below it can
    this.editor.registerNodeTransform(RawNode, (node) => {
      if (!node.getNextSibling()) node.insertAfter($createParagraphNode());
    });
    this.editor.update(() => this.fill(text), { discrete: true });
  }

  /** Begins to hear; returns how to end. */
  register(root: HTMLElement, changed: (text: string, look: Look) => void, tooLong: () => void): () => void {
    this.editor.setRootElement(root);
    const ends = [
      registerRichText(this.editor),
      registerHistory(this.editor, createEmptyHistoryState(), 300),
      registerList(this.editor),
      registerCheckList(this.editor),
      this.editor.registerCommand(PASTE_COMMAND, (event) => this.paste(event, tooLong), COMMAND_PRIORITY_HIGH),
      this.editor.registerCommand(KEY_ENTER_COMMAND, breakInRaw, COMMAND_PRIORITY_HIGH),
      this.editor.registerUpdateListener(({ editorState }) => editorState.read(() => changed(this.text(), lookHere()))),
    ];
    return () => {
      for (const end of ends) end();
      this.editor.setRootElement(null);
    };
  }

  /** As Markdown; to be asked within a read or an update. */
  text(): string {
    return saveDocument(
      $getRoot()
        .getChildren()
        .map((node) => this.editedOf(node)),
      this.lex,
    );
  }

  private editedOf(node: LexicalNode): Edited {
    const block = blockFrom(node);
    const origin = this.origins.get(node.getKey());
    return { block, origin: origin?.part ?? null, isChanged: origin?.signature !== JSON.stringify(block) };
  }

  private fill(text: string): void {
    const root = $getRoot();
    for (const part of openDocument(text, this.lex)) {
      const node = nodeOf(part.block);
      root.append(node);
      this.origins.set(node.getKey(), { part, signature: JSON.stringify(blockFrom(node)) });
    }
    if (root.getChildrenSize() === 0) root.append($createParagraphNode());
    root.selectEnd();
  }

  /** What comes from elsewhere comes as Markdown: lines of a list become one, nothing else is taken along. */
  private paste(event: unknown, tooLong: () => void): boolean {
    const clipboard = (event as ClipboardEvent).clipboardData;
    const text = clipboard?.getData('text/plain') ?? '';
    const selection = $getSelection();
    // pictures and files are somebody else's
    if (text === '' || (clipboard?.files.length ?? 0) > 0 || !$isRangeSelection(selection)) return false;
    (event as ClipboardEvent).preventDefault();
    // taken apart it would hold everything up, and could not be saved
    if (text.length + this.text().length > TEXT_MAX) tooLong();
    else this.insert(text.replaceAll('\r\n', '\n'), selection);
    return true;
  }

  /** Words go on where one writes; blocks come below what one is in, or in its place where that is empty. */
  insert(text: string, selection: RangeSelection): void {
    const parts = openDocument(text, this.lex);
    const [only] = parts;
    if (!only || isInRaw(selection.anchor.getNode())) return selection.insertRawText(text);
    if (parts.length === 1 && only.block.kind === 'paragraph') return selection.insertNodes((nodeOf(only.block) as ParagraphNode).getChildren());
    if (!selection.isCollapsed()) selection.removeText();
    const here = selection.anchor.getNode().getTopLevelElement();
    const nodes = parts.map(({ block }) => nodeOf(block));
    let last: LexicalNode | null = here;
    for (const node of nodes) {
      if (last) last.insertAfter(node);
      else $getRoot().append(node);
      last = node;
    }
    if (here && $isParagraphNode(here) && here.isEmpty()) here.remove();
    nodes.at(-1)!.selectEnd();
  }

  format(look: 'bold' | 'italic' | 'strikethrough'): void {
    this.editor.dispatchCommand(FORMAT_TEXT_COMMAND, look);
  }

  /** Makes what is chosen such a block; one that is becomes a paragraph again. */
  makeBlock(kind: Look['block'], now: Look['block']): void {
    if (kind === now) kind = 'paragraph';
    if (kind === 'bullet') return void this.editor.dispatchCommand(INSERT_UNORDERED_LIST_COMMAND, undefined);
    if (kind === 'number') return void this.editor.dispatchCommand(INSERT_ORDERED_LIST_COMMAND, undefined);
    if (kind === 'check') return void this.editor.dispatchCommand(INSERT_CHECK_LIST_COMMAND, undefined);
    this.editor.dispatchCommand(REMOVE_LIST_COMMAND, undefined);
    const make: () => ElementNode =
      kind === 'heading' ? () => $createHeadingNode('h2') : kind === 'quote' ? () => $createQuoteNode() : () => $createParagraphNode();
    this.editor.update(() => $setBlocksType($getSelection(), make));
  }

  indent(further: boolean): void {
    this.editor.dispatchCommand(further ? INDENT_CONTENT_COMMAND : OUTDENT_CONTENT_COMMAND, undefined);
  }

  /** Where nothing is chosen the address itself is put there. */
  link(href: string | null): void {
    this.editor.update(() => {
      const selection = $getSelection();
      if (!$isRangeSelection(selection)) return;
      if (href !== null && selection.isCollapsed() && linkAt(selection.anchor.getNode()) === null)
        selection.insertNodes([$createLinkNode(href).append($createTextNode(href))]);
      else $toggleLink(href);
    });
  }
}

const THEME = {
  text: { bold: 'notes-bold', italic: 'notes-italic', strikethrough: 'notes-strike', code: 'notes-code' },
  link: 'notes-link',
  list: { nested: { listitem: 'notes-nested' }, listitemChecked: 'notes-checked', listitemUnchecked: 'notes-unchecked' },
};

const isInRaw = (node: LexicalNode): boolean => node instanceof RawNode || node.getParents().some((parent) => parent instanceof RawNode);

/** In what is kept as it was typed a new line is one. */
function breakInRaw(event: KeyboardEvent | null): boolean {
  const selection = $getSelection();
  if (!$isRangeSelection(selection) || !isInRaw(selection.anchor.getNode())) return false;
  event?.preventDefault();
  selection.insertLineBreak();
  return true;
}

function lookHere(): Look {
  const selection = $getSelection();
  if (!$isRangeSelection(selection)) return PLAIN;
  const node = selection.anchor.getNode();
  const [bold, italic, strike] = (['bold', 'italic', 'strikethrough'] as const).map((look) => selection.hasFormat(look)) as [boolean, boolean, boolean];
  return { bold, italic, strike, block: blockAt(node), href: linkAt(node) };
}

function blockAt(node: LexicalNode): Look['block'] {
  for (const one of [node, ...node.getParents()]) {
    if ($isListItemNode(one)) {
      const list = one.getParent();
      return $isListNode(list) ? list.getListType() : 'bullet';
    }
    if ($isHeadingNode(one)) return 'heading';
    if ($isQuoteNode(one)) return 'quote';
  }
  return 'paragraph';
}

const linkAt = (node: LexicalNode): string | null => [node, ...node.getParents()].find($isLinkNode)?.getURL() ?? null;
