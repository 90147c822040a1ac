export { drawnLater } from './drawn-later.tsx';
