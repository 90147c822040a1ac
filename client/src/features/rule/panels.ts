import { addWords } from '@/words/add-words.ts';
import { ruleWords } from '@/words/en/rule.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { ChorePanel } from './chore-panel.tsx';
export { ChoreLines } from './chore-lines.tsx';
export { RuleEditor } from './rule-editor.tsx';

addWords(ruleWords);
