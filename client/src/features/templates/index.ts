export { ChoreTemplateSheet, KeepTemplateSheet, NewFromTemplate, NotesFromTemplate, TemplateScreen, TemplatesScreen } from './fetched.ts';
