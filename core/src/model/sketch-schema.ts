import * as z from 'zod/mini';
import { INKS, MOST_POINTS, MOST_STROKES, SKETCH_MAX, WIDTHS } from './sketch.ts';
import { Id } from './row-schema.ts';

const coordinate = z.number().check(z.gte(-SKETCH_MAX), z.lte(2 * SKETCH_MAX));
/** Across, down, and how hard it was pressed, 0 to 1. */
const Point = z.tuple([coordinate, coordinate, z.number().check(z.gte(0), z.lte(1))]);

/** A drawing as it is kept: its strokes, so that it can be drawn on again. */
export const Sketch = z.object({
  kind: z.literal('kotiva-sketch'),
  /** Of the paper, in its own units. */
  width: z.int().check(z.gte(100), z.lte(SKETCH_MAX)),
  height: z.int().check(z.gte(100), z.lte(SKETCH_MAX)),
  /** The attachment it is drawn on; null: white paper. */
  on: z.nullable(Id),
  strokes: z
    .array(
      z.object({
        ink: z.enum(INKS),
        width: z.enum(WIDTHS),
        points: z.array(Point).check(z.minLength(1), z.maxLength(MOST_POINTS)),
      }),
    )
    .check(z.minLength(1), z.maxLength(MOST_STROKES)),
});
export type Sketch = z.infer<typeof Sketch>;
