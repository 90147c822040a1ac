export { BeyondLine } from './beyond-line.tsx';
