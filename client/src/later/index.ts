export { drawnLater } from './drawn-later.tsx';
export { fetchAll, later, useLater, type Later } from './later.ts';
