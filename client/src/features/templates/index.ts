export { ChoreTemplateSheet, KeepTemplateSheet, NewFromTemplate, TemplateScreen, TemplatesScreen } from './fetched.ts';
