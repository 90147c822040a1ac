import { addWords } from '@/words/add-words.ts';
import { projectsWords } from '@/words/en/projects.ts';

/** Fetched once one of them is opened, or before when nothing else is to do. */
export { ProjectScreen } from './project-screen.tsx';
export { ProjectsScreen } from './projects-screen.tsx';
export { PutIntoProject } from './put-into-project.tsx';

addWords(projectsWords);
