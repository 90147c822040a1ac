import { drawnLater } from '@/features/later';

const panels = () => import('./panels.ts');

export const StretchBar = drawnLater(() => panels().then((all) => all.StretchBar));
export const StretchSheet = drawnLater(() => panels().then((all) => all.StretchSheet));
export const StretchesBack = drawnLater(() => panels().then((all) => all.StretchesBack));
