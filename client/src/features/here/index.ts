export { BoundRows } from './bound-rows.tsx';
export { HereOnToday } from './here-on-today.tsx';
export { countsOf, useBound } from './use-here.ts';
