export { GiveTo, SwapWith } from './turns.tsx';
export { oneAhead, type One } from './one.ts';
export { OccurrenceSheet } from './occurrence-sheet.tsx';
export { WhichOnes } from './which-ones.tsx';
