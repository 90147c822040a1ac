import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const FieldsPanel = drawnLater(() => screens().then((all) => all.FieldsPanel));
export const FieldsSheet = drawnLater(() => screens().then((all) => all.FieldsSheet));
