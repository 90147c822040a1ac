/** Called so that what is fetched for it is: see the budget in build-extra.mjs. */
export { NotesEditor } from '@/features/notes-editor';
