export { GiveTo, SwapWith, OccurrenceSheet, WhichOnes } from './fetched.ts';
export { oneAhead, type One } from './one.ts';
