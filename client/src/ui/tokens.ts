import type { Colour } from '@kotiva/core';

/** The tokens as values for drawing; class names (`text-muted`, `bg-sunk`) are the usual way. */
export type Token =
  'ground' | 'surface' | 'sunk' | 'line' | 'ink' | 'muted' | 'underline' | 'pine' | 'onpine' | 'lingonberry' | 'cloudberry' | 'lake' | 'heather';
export const ink = (token: Token): string => `rgb(var(--${token}))`;

/** A person's colour: light or dark by the style sheet. */
export const personInk = (colour: Colour): string => `var(--${colour})`;
