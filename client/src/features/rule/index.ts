export { ChorePanel, ChoreLines, RuleEditor } from './fetched.ts';
export { sayAssigned } from './say-assigned.ts';
export { Lost, previewOf } from './ahead.tsx';
