import { render, screen, within } from '@testing-library/react';
import { FormattedText } from './formatted-text.tsx';
import { readMarkdown } from './read-markdown.ts';

const show = (text: string) => render(<FormattedText>{text}</FormattedText>).container;

test('headings, lists in lists, boxes, struck out words, tables', () => {
  const container = show('# Valve\n\n- red\n  - left\n- **blue**\n\n1. [x] shut\n2. [ ] drain\n\n~~later~~\n\n| a | b |\n|---|---|\n| 1 | 2 |');
  expect(screen.getByRole('heading', { name: 'Valve' })).toBeTruthy();
  const [outer, inner, boxes] = screen.getAllByRole('list');
  expect(within(outer!).getByText('left')).toBeTruthy();
  expect(inner!.textContent).toContain('left');
  expect(boxes!.textContent).toBe('☑shut☐drain');
  expect(screen.getAllByRole('columnheader').map(({ textContent }) => textContent)).toEqual(['a', 'b']);
  expect(screen.getAllByRole('cell').map(({ textContent }) => textContent)).toEqual(['1', '2']);
  expect(container.textContent).not.toMatch(/[#*~|[\]]/);
});

test('lines end where they were ended, plain notes read as they were typed', () => {
  expect(show('Key under the pot\nRing twice').textContent).toBe('Key under the pot\nRing twice');
  expect(show('2 < 3 & "so"').textContent).toBe('2 < 3 & "so"');
});

test('addresses of the web, of mail and of telephones are opened; any other is words', () => {
  show('[shop](https://valves.example) <me@house.example> [call](tel:+358501) https://lake.example');
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
    'https://valves.example',
    'mailto:me@house.example',
    'tel:+358501',
    'https://lake.example',
  ]);
});

test.each([
  '[x](javascript:alert(1))',
  '[x](JaVaScRiPt:alert(1))',
  '[x](data:text/html,<script>alert(1)</script>)',
  '[x](vbscript:x)',
  '<script>alert(1)</script>',
  '<img src=x onerror=alert(1)>',
  '![x](https://evil.example/pixel.png)',
  '<a href="javascript:alert(1)">x</a>',
  '<javascript:alert(1)>',
  '[x]: javascript:alert(1)\n\n[x]',
  '<style>*{display:none}</style>',
  '[x](//evil.example "t" onclick=alert(1))',
])('%s does nothing and fetches nothing', (text) => {
  const container = show(text);
  expect(container.querySelector('script, img, iframe, style, svg, object')).toBeNull();
  for (const element of container.querySelectorAll('*')) for (const { name } of element.attributes) expect(name).not.toMatch(/^on/);
  for (const link of container.querySelectorAll('a')) expect(link.getAttribute('href')).not.toMatch(/^\s*(javascript|data|vbscript)/i);
});

test('what could take as long as it wants is shown as it was typed', () => {
  expect(readMarkdown('_a_'.repeat(2_000))).toBeNull();
  expect(readMarkdown(`${'> '.repeat(1_900)}x`)).toBeNull();
  expect(readMarkdown('a\n\n'.repeat(10_000))).toBeNull();
  const text = '_a_'.repeat(2_000);
  expect(show(text).textContent).toBe(text);
});
