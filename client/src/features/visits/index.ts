export { LookingChoice } from './looking.tsx';
export { usePlaceRings } from './rings.ts';
export { spotsOf, useSayHere, VisitsProvider } from './visits.tsx';
