export { ProjectScreen, ProjectsScreen, PutIntoProject } from './fetched.ts';
export { projectsOf } from './projects-of.ts';
