/// <reference types="node" />
import { ACCENTS, PATTERNS } from '@kotiva/core';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dress } from './own-looks.ts';

type Rgb = [number, number, number];
const sheet = readFileSync(join(__dirname, '../../global.css'), 'utf8');

/** A token as the style sheet has it: of the first rule with that selector. */
function token(name: string, selector: string): Rgb {
  const rule = sheet.slice(sheet.indexOf(`${selector} {`)).split('}')[0]!;
  return new RegExp(`--${name}: (\\d+) (\\d+) (\\d+);`).exec(rule)!.slice(1).map(Number) as Rgb;
}
/** How much of the backdrop is covered, and with what. */
const cover = (selector: string) => {
  const rule = sheet.slice(sheet.indexOf(`${selector}[data-backdrop='picture'] .backdrop::before`)).split('}')[0]!;
  const [, r, g, b, alpha] = /rgb\((\d+) (\d+) (\d+) \/ ([\d.]+)\)/.exec(rule)!.map(Number) as [number, number, number, number, number];
  return { colour: [r, g, b] as Rgb, alpha };
};
const weaveAlpha = Number(/rgb\(var\(--pine\) \/ ([\d.]+)\);\n\s+mask/.exec(sheet)![1]);

/** Relative luminance and contrast, WCAG 2.2. */
const channel = (v: number) => (v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4);
const luminance = ([r, g, b]: Rgb) => 0.2126 * channel(r) + 0.7152 * channel(g) + 0.0722 * channel(b);
const contrast = (a: Rgb, b: Rgb) => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};
const over = (top: Rgb, alpha: number, below: Rgb) => top.map((v, nth) => v * alpha + below[nth]! * (1 - alpha)) as Rgb;

const TEXT = ['ink', 'muted', 'lingonberry', 'cloudberry', 'lake', 'heather'];
const MODES = [
  { mode: 'light', root: ':root', worst: [0, 0, 0] as Rgb },
  { mode: 'dark', root: '.dark:root', worst: [255, 255, 255] as Rgb },
];

describe.each(MODES)('$mode', ({ root, worst }) => {
  const accents = [token('pine', root), ...ACCENTS.map((accent) => token('pine', `${root}[data-accent='${accent}']`))];

  test('whatever the picture, every colour of text on it keeps 4.5:1', () => {
    const { colour, alpha } = cover(root);
    const behind = over(colour, alpha, worst);
    for (const text of [...TEXT.map((name) => token(name, root)), ...accents]) expect(contrast(text, behind)).toBeGreaterThanOrEqual(4.5);
  });

  test('on a weave of any accent too; and what is written on an accent', () => {
    for (const accent of accents) {
      const thread = over(accent, weaveAlpha, token('ground', root));
      for (const text of [...TEXT.map((name) => token(name, root)), accent]) expect(contrast(text, thread)).toBeGreaterThanOrEqual(4.5);
      for (const ground of ['ground', 'surface', 'sunk']) expect(contrast(accent, token(ground, root))).toBeGreaterThanOrEqual(4.5);
      expect(contrast(token('onpine', root), accent)).toBeGreaterThanOrEqual(4.5);
    }
  });
});

test('dressed and undressed again nothing is left', () => {
  const { dataset, style } = document.documentElement;
  dress({ accent: 'plum', backdrop: 'twill', picture: null });
  expect([dataset['accent'], dataset['backdrop']]).toEqual(['plum', 'weave']);
  expect(style.getPropertyValue('--weave')).toContain('data:image/svg+xml');
  dress({ accent: 'plum', backdrop: 'twill', picture: 'data:image/jpeg;base64,AA' });
  expect(dataset['backdrop']).toBe('picture');
  dress({ accent: null, backdrop: null, picture: null });
  expect([dataset['accent'], dataset['backdrop'], style.getPropertyValue('--weave'), style.getPropertyValue('--picture')]).toEqual([
    undefined,
    undefined,
    '',
    '',
  ]);
  expect(new Set(PATTERNS.map((backdrop) => (dress({ accent: null, backdrop, picture: null }), style.getPropertyValue('--weave')))).size).toBe(PATTERNS.length);
});
