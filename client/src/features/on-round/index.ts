export { RoundOnToday } from './round-on-today.tsx';
export { stopsAhead, useMyRound } from './use-round.ts';
