export { ChorePanel } from './chore-panel.tsx';
export { ChoreLines } from './chore-lines.tsx';
