import { drawnLater } from '@/features/later';

const panels = () => import('./panels.ts');

export const GiveTo = drawnLater(() => panels().then((all) => all.GiveTo));
export const SwapWith = drawnLater(() => panels().then((all) => all.SwapWith));
export const OccurrenceSheet = drawnLater(() => panels().then((all) => all.OccurrenceSheet));
export const WhichOnes = drawnLater(() => panels().then((all) => all.WhichOnes));
