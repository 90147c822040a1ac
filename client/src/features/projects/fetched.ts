import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const ProjectsScreen = drawnLater(() => screens().then((all) => all.ProjectsScreen));
export const ProjectScreen = drawnLater(() => screens().then((all) => all.ProjectScreen));
export const PutIntoProject = drawnLater(() => screens().then((all) => all.PutIntoProject));
