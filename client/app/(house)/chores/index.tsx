export { ChoresScreen as default } from '@/features/chores';
