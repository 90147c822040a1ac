import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const ChoreScreen = drawnLater(() => screens().then((all) => all.ChoreScreen));
export const ChoresScreen = drawnLater(() => screens().then((all) => all.ChoresScreen));
