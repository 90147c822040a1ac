import { addWords } from '@/words/add-words.ts';
import { templatesWords } from '@/words/en/templates.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { ChoreTemplateSheet } from './chore-template.tsx';
export { KeepTemplateSheet } from './keep-template-sheet.tsx';
export { NewFromTemplate } from './new-from-template.tsx';
export { NotesFromTemplate } from './notes-from-template.tsx';
export { TemplateScreen } from './template-screen.tsx';
export { TemplatesScreen } from './templates-screen.tsx';

addWords(templatesWords);
