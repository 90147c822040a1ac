import { drawnLater } from '@/features/later';

export { SortBar } from './sort-bar.tsx';
export const SortScreen = drawnLater(() => import('./sort-screen.tsx').then((all) => all.SortScreen));
