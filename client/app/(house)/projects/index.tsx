export { ProjectsScreen as default } from '@/features/projects';
