import { drawnLater } from '@/features/later';

const panels = () => import('./panels.ts');

export const KeysSheet = drawnLater(() => panels().then((all) => all.KeysSheet));
export const NotApplied = drawnLater(() => panels().then((all) => all.NotApplied));
