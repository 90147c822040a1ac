export { Map } from './map.tsx';
export type { MapMark } from './marks.ts';
