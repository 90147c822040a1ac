/** A line as it was read, and what becomes of it. Reading itself comes with its patterns and dates from `capture/read-line`, apart: no screen waits for it. */
export * from './context.ts';
export * from './draft.ts';
export * from './pieces.ts';
export * from './read-lines.ts';
export * from './span.ts';
