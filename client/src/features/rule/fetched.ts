import { drawnLater } from '@/features/later';

const panels = () => import('./panels.ts');

export const ChorePanel = drawnLater(() => panels().then((all) => all.ChorePanel));
export const ChoreLines = drawnLater(() => panels().then((all) => all.ChoreLines));
export const RuleEditor = drawnLater(() => panels().then((all) => all.RuleEditor));
