import { addWords } from '@/words/add-words.ts';
import { fieldsWords } from '@/words/en/fields.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { FieldsPanel } from './fields-panel.tsx';
export { FieldsSheet } from './fields-sheet.tsx';

addWords(fieldsWords);
