export * from './context.ts';
export * from './draft.ts';
export * from './read-line.ts';
export * from './read-lines.ts';
export * from './span.ts';
