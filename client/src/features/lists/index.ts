export { ListScreen } from './list-screen.tsx';
export { ListsScreen } from './lists-screen.tsx';
export { NameSheet } from './name-sheet.tsx';
