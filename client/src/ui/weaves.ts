import type { Pattern } from '@kotiva/core';

/** The six weaves, each as one path in a square of 8. */
export const WEAVES: Record<Pattern, { d: string; width: number }> = {
  weft: { d: 'M0 2h8M0 6h8', width: 1.6 },
  warp: { d: 'M2 0v8M6 0v8', width: 1.6 },
  twill: { d: 'M-2 6L6 -2M2 10L10 2', width: 1.6 },
  zigzag: { d: 'M0 0L4 4L8 0M0 8L4 4L8 8', width: 1.4 },
  diamond: { d: 'M4 0L8 4L4 8L0 4Z', width: 1.4 },
  dashes: { d: 'M0 2h3M5 6h3M0 6h1M7 2h1', width: 2 },
};

/** As a picture to cut with: what is drawn stays. */
export function weaveMask(pattern: Pattern): string {
  const { d, width } = WEAVES[pattern];
  const drawn = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 8" width="16" height="16"><path d="${d}" stroke="#000" stroke-width="${width / 2}" fill="none"/></svg>`;
  return `url("data:image/svg+xml,${encodeURIComponent(drawn)}")`;
}
