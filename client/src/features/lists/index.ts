export { ArchivedScreen, ListScreen, ListsScreen } from './fetched.ts';
export { NameSheet } from './name-sheet.tsx';
