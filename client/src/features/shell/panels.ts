/** Fetched when nothing else is to do: what the bars around a screen seldom need. */
export { KeysSheet } from './keys-sheet.tsx';
export { NotApplied } from './not-applied.tsx';
