export { ChorePanel } from './chore-panel.tsx';
export { ChoreLines } from './chore-lines.tsx';
export { RuleEditor } from './rule-editor.tsx';
export { sayAssigned } from './chore-lines.tsx';
export { Lost, previewOf } from './ahead.tsx';
