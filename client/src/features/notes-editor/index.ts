export { NotesEditor } from './notes-editor.tsx';
