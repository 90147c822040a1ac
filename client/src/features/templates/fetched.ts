import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const TemplatesScreen = drawnLater(() => screens().then((all) => all.TemplatesScreen));
export const TemplateScreen = drawnLater(() => screens().then((all) => all.TemplateScreen));
export const ChoreTemplateSheet = drawnLater(() => screens().then((all) => all.ChoreTemplateSheet));
export const KeepTemplateSheet = drawnLater(() => screens().then((all) => all.KeepTemplateSheet));
export const NotesFromTemplate = drawnLater(() => screens().then((all) => all.NotesFromTemplate));
export const NewFromTemplate = drawnLater(() => screens().then((all) => all.NewFromTemplate));
