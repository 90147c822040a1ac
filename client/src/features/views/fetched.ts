import { drawnLater } from '@/features/later';
import { later } from '@/store/later.ts';

const screens = () => import('./screens.ts');

export const ViewRows = drawnLater(() => screens().then((all) => all.ViewRows));
export const ViewScreen = drawnLater(() => screens().then((all) => all.ViewScreen));
export const WholeScreen = drawnLater(() => screens().then((all) => all.WholeScreen));
export const ViewsOnToday = drawnLater(() => screens().then((all) => all.ViewsOnToday));

export const FilterBar = drawnLater(() => screens().then((all) => all.FilterBar));
export const FilterSheet = drawnLater(() => screens().then((all) => all.FilterSheet));
export const filterRules = later(() => screens().then((all) => all.filterRules));
