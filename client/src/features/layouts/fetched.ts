import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const ItemsBoard = drawnLater(() => screens().then((all) => all.ItemsBoard));
export const ItemsPriorities = drawnLater(() => screens().then((all) => all.ItemsPriorities));
export const ItemsTable = drawnLater(() => screens().then((all) => all.ItemsTable));
export const ItemsTiles = drawnLater(() => screens().then((all) => all.ItemsTiles));
