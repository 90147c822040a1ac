export { PeopleScreen as default } from '@/features/settings';
