import { $getRoot, $isElementNode, $isTextNode, type LexicalNode } from 'lexical';
import { readMarkdown } from '@/ui/read-markdown.ts';
import { NotesEngine } from './engine.ts';

const NOTES = `# The valve
Under the *sauna* boiler:
second line

* brass
* **left** one
  - with a [maker](https://valves.example/x)

1) unscrew
2) wait

- [x] ordered
- [ ] fitted

> Raimo said so

| a | b |
|---|---|
| 1 | 2 |
`;

const textOf = (engine: NotesEngine): string => engine.editor.getEditorState().read(() => engine.text());
const nodes = (node: LexicalNode): LexicalNode[] => [node, ...($isElementNode(node) ? node.getChildren().flatMap(nodes) : [])];
/** Types over the words of one piece of text. */
function reword(engine: NotesEngine, from: string, to: string): void {
  engine.editor.update(
    () => {
      const found = nodes($getRoot()).find((node) => $isTextNode(node) && node.getTextContent().includes(from));
      if ($isTextNode(found)) found.setTextContent(found.getTextContent().replace(from, to));
    },
    { discrete: true },
  );
}

test('opened and closed again nothing of it has changed', () => {
  for (const text of [NOTES, '', 'x', '- a\n\n- b', '<b>x</b>', '  indented', 'a\r\nb']) expect(textOf(new NotesEngine(text, readMarkdown))).toBe(text);
});

test.each([
  ['brass', 'iron', NOTES.replace('* brass\n* **left** one\n  - with', '- iron\n- **left** one\n  - with')],
  ['The valve', 'The tap', NOTES.replace('# The valve', '# The tap')],
  ['left', 'right', NOTES.replace('* brass\n* **left** one', '- brass\n- **right** one')],
  ['Raimo', '# Raimo', NOTES.replace('> Raimo', '> \\# Raimo')],
  ['| 1 | 2 |', '| 3 | 4 |', NOTES.replace('| 1 | 2 |', '| 3 | 4 |')],
  ['maker', 'shop', NOTES.replace('* brass\n* **left** one\n  - with a [maker]', '- brass\n- **left** one\n  - with a [shop]')],
])('%s made %s changes its block, and every other stays letter by letter', (from, to, expected) => {
  const engine = new NotesEngine(NOTES, readMarkdown);
  reword(engine, from, to);
  expect(textOf(engine)).toBe(expected);
  // taken back it is what it was, also where it had been written in another way
  reword(engine, to, from);
  expect(textOf(engine)).toBe(NOTES);
});

test('a block taken away and a new one at the end', () => {
  const engine = new NotesEngine('# a\nb\n\nc', readMarkdown);
  engine.editor.update(() => $getRoot().getChildren()[1]!.remove(), { discrete: true });
  expect(textOf(engine)).toBe('# a\nc');
  engine.editor.update(() => $getRoot().selectEnd().insertParagraph(), { discrete: true });
  engine.editor.update(() => $getRoot().selectEnd().insertText('- not a list'), { discrete: true });
  expect(textOf(engine)).toBe('# a\nc\n\n\\- not a list');
});

test('what is pasted comes as what it is: words where one writes, blocks below, and nothing of either is lost', () => {
  const pasted = (text: string, into: string) => {
    const engine = new NotesEngine(into, readMarkdown);
    engine.editor.update(() => engine.insert(text, $getRoot().selectEnd()), { discrete: true });
    return textOf(engine);
  };
  expect(pasted('**two** words', 'One and ')).toBe('One and **two** words');
  expect(pasted('Pasted:\n- one\n- two\n\n| a | b |\n|---|---|\n| 1 | 2 |', '- [ ] oars\n  - [x] old')).toBe(
    '- [ ] oars\n  - [x] old\n\nPasted:\n\n- one\n- two\n\n| a | b |\n|---|---|\n| 1 | 2 |',
  );
  expect(pasted('- one\n- two', '')).toBe('- one\n- two');
  // below what is kept as it was typed there is room
  expect(pasted('# x', '<b>raw</b>')).toBe('<b>raw</b>\n\n# x');
});
