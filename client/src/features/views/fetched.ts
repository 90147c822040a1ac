import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const ViewRows = drawnLater(() => screens().then((all) => all.ViewRows));
export const ViewScreen = drawnLater(() => screens().then((all) => all.ViewScreen));
export const WholeScreen = drawnLater(() => screens().then((all) => all.WholeScreen));
export const ViewsOnToday = drawnLater(() => screens().then((all) => all.ViewsOnToday));
