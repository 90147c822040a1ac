export { ListScreen } from './list-screen.tsx';
export { ListsScreen } from './lists-screen.tsx';
