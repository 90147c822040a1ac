import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const ArchivedScreen = drawnLater(() => screens().then((all) => all.ArchivedScreen));
export const ListScreen = drawnLater(() => screens().then((all) => all.ListScreen));
export const ListsScreen = drawnLater(() => screens().then((all) => all.ListsScreen));
