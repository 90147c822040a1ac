import fc from 'fast-check';
import { Sketch as Schema } from './sketch-schema.ts';
import { sketchSvg, strokePath, type Sketch } from './sketch.ts';

const point = fc.tuple(fc.integer({ min: 0, max: 1200 }), fc.integer({ min: 0, max: 900 }), fc.double({ min: 0, max: 1, noNaN: true })) as fc.Arbitrary<
  [number, number, number]
>;
const stroke = fc.record({
  ink: fc.constantFrom('black' as const, 'red' as const),
  width: fc.constantFrom('fine' as const, 'broad' as const),
  points: fc.array(point, { minLength: 1, maxLength: 30 }),
});

test('whatever is drawn is a path of numbers', () => {
  fc.assert(
    fc.property(stroke, (one) => {
      expect(strokePath(one, 1200)).toMatch(/^(M-?[\d.]+ -?[\d.]+(L-?[\d.]+ -?[\d.]+)*L?Z)?$/);
      expect(strokePath(one, 1200)).not.toContain('NaN');
    }),
    { numRuns: 300 },
  );
});

test('what is no drawing is none; of one that is, nothing else comes in', () => {
  const sketch: Sketch = { kind: 'kotiva-sketch', width: 1200, height: 900, on: null, strokes: [{ ink: 'red', width: 'fine', points: [[1, 2, 0.5]] }] };
  expect(Schema.safeParse(sketch).success).toBe(true);
  for (const wrong of [
    { width: 1e9 },
    { strokes: [] },
    { on: 'x' },
    { strokes: [{ ink: '"/><script>', width: 'fine', points: [[1, 2, 0.5]] }] },
    { strokes: [{ ink: 'red', width: 'fine', points: [[NaN, 2, 0.5]] }] },
    { strokes: [{ ink: 'red', width: 'fine', points: [[1e12, 2, 0.5]] }] },
  ])
    expect(Schema.safeParse({ ...sketch, ...wrong }).success).toBe(false);
  expect(sketchSvg(sketch)).toMatch(/^<svg [^<]*><path d="[^"]+" fill="#[0-9a-f]{6}"\/><\/svg>$/);
});
