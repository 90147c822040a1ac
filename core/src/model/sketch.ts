import { getStroke } from 'perfect-freehand';
import type { Sketch } from './sketch-schema.ts';

export type { Sketch } from './sketch-schema.ts';
export type Stroke = Sketch['strokes'][number];

export const INKS = ['black', 'red', 'blue', 'green', 'yellow'] as const;
export const WIDTHS = ['fine', 'middle', 'broad'] as const;
export type InkName = (typeof INKS)[number];
export type StrokeWidth = (typeof WIDTHS)[number];

/** Units of a paper's longer side, at most. */
export const SKETCH_MAX = 4_000;
export const MOST_STROKES = 500;
export const MOST_POINTS = 2_000;
/** Letters of a drawing as it is sent. */
export const MOST_SKETCH_LETTERS = 400_000;
export const SKETCH_TYPE = 'application/vnd.kotiva.sketch+json';

export const INK_COLOURS: Record<InkName, string> = { black: '#10292e', red: '#b0213f', blue: '#1f5f99', green: '#0f6b5a', yellow: '#e0a800' };
/** Units, on a paper 1,200 wide. */
const BREADTHS: Record<StrokeWidth, number> = { fine: 8, middle: 18, broad: 40 };

/** The outline of a stroke as an SVG path, on a paper so wide. */
export function strokePath({ points, width }: Pick<Stroke, 'points' | 'width'>, paper: number): string {
  const size = (BREADTHS[width] * paper) / 1_200;
  const outline = getStroke(points as [number, number, number][], {
    size,
    thinning: 0.4,
    smoothing: 0.5,
    streamline: 0.4,
    simulatePressure: points.every(([, , hard]) => hard === 0.5),
  });
  const [first, ...others] = outline.map(([x, y]) => `${round(x!)} ${round(y!)}`);
  return first === undefined ? '' : `M${first}L${others.join('L')}Z`;
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** All strokes as SVG, without what they are drawn on. Nothing in it comes from outside but numbers. */
export function sketchSvg({ width, height, strokes }: Sketch): string {
  const paths = strokes.map((stroke) => `<path d="${strokePath(stroke, width)}" fill="${INK_COLOURS[stroke.ink]}"/>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${paths.join('')}</svg>`;
}
