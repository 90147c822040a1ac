/** Fetched once one of them is opened, or before when nothing else is to do. */
export { GiveTo } from './turns.tsx';
export { SwapWith } from './turns.tsx';
export { OccurrenceSheet } from './occurrence-sheet.tsx';
export { WhichOnes } from './which-ones.tsx';
