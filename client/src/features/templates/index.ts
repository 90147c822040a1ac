export { KeepTemplateSheet, NewFromTemplate, TemplateScreen, TemplatesScreen } from './fetched.ts';
