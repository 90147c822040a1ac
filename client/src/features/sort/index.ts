export { SortScreen } from './sort-screen.tsx';
export { SortBar } from './sort-bar.tsx';
