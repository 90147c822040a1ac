export { FieldsPanel, FieldsSheet } from './fetched.ts';
export { fieldChoices, fieldsAmong, type FieldChoice } from './choices.ts';
